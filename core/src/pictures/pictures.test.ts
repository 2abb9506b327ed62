import { describe, expect, it } from 'vitest';
import { Script } from '../../test/script.ts';
import { fold } from '../round/index.ts';
import { arrowDrawn, pictureTaken, pictureType, remarkMade } from './index.ts';

const bytes = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));

describe('what is a picture', () => {
  // JPEG: ITU-T T.81, B.1.1; PNG: ISO/IEC 15948, 5.2; WebP: RFC 9649, 2.4.
  it.each([
    ['\u00ff\u00d8\u00ff\u00e0', 'image/jpeg'],
    ['\u0089PNG\r\n\u001a\n', 'image/png'],
    ['RIFF\u0001\u0002\u0003\u0004WEBPVP8 ', 'image/webp'],
    ['RIFF\u0001\u0002\u0003\u0004WAVE', null],
    ['<svg xmlns="http://www.w3.org/2000/svg"/>', null],
    ['GIF89a', null],
    ['%PDF-1.7', null],
    ['', null],
  ])('told by its first bytes: %j', (begin, type) => {
    expect(pictureType(bytes(begin))).toBe(type);
  });
});

describe('pictures of a visit', () => {
  const picture = { sha256: 'a'.repeat(64), type: 'image/jpeg' as const, size: 90_000, shows: ' outlet from below ' };

  it('stand there in the order taken; the same one twice stands aside', () => {
    const book = new Script();
    book.plan();
    book.atTap(pictureTaken, picture);
    book.atTap(pictureTaken, { ...picture, shows: 'again' });
    book.atWell(pictureTaken, { ...picture, sha256: 'b'.repeat(64), shows: '' });
    const round = fold(book.entries)!;
    expect(round.visits.map((visit) => visit.pictures.map((one) => one.sha256.slice(0, 1)))).toEqual([['b'], ['a']]);
    expect(round.aside.map(({ misfit }) => misfit.code)).toEqual(['picture-twice']);
  });

  it('stand beside remarks, which say at which step they were made', () => {
    const book = new Script();
    book.plan();
    book.atTap(remarkMade, { text: 'the washer was left in it', about: 'Take off what is screwed on' });
    book.atTap(remarkMade, { text: 'dog', about: '' });
    const visit = fold(book.entries)!.visits.find(({ id }) => id === book.tap)!;
    expect(visit.remarks.map(({ text, about }) => [text, about])).toEqual([
      ['the washer was left in it', 'Take off what is screwed on'],
      ['dog', ''],
    ]);
    expect(remarkMade.payload.safeParse({ text: ' ' }).success).toBe(false);
  });

  it('carry the arrow that was drawn last; one on no picture stands aside', () => {
    const book = new Script();
    book.plan();
    const taken = book.atTap(pictureTaken, picture);
    const at = (x: number) => ({ tail: { x: 0.1, y: 0.1 }, tip: { x, y: 0.5 } });
    book.atTap(arrowDrawn, { picture: taken.id, arrow: at(0.4) });
    book.atTap(arrowDrawn, { picture: taken.id, arrow: at(0.6) });
    book.atWell(arrowDrawn, { picture: taken.id, arrow: at(0.7) });
    const round = fold(book.entries)!;
    expect(round.visits.flatMap((visit) => visit.pictures.map(({ arrow }) => arrow))).toEqual([at(0.6)]);
    expect(round.aside.map(({ misfit }) => misfit.code)).toEqual(['no-such-picture']);
    expect(arrowDrawn.payload.safeParse({ picture: taken.id, arrow: at(1.2) }).success).toBe(false);
  });

  it('say what they show without blanks around it, and are no larger than is kept', () => {
    expect(pictureTaken.payload.parse(picture).shows).toBe('outlet from below');
    expect(pictureTaken.payload.safeParse({ ...picture, size: 13 << 20 }).success).toBe(false);
    expect(pictureTaken.payload.safeParse({ ...picture, type: 'image/svg+xml' }).success).toBe(false);
    expect(pictureTaken.files(pictureTaken.payload.parse(picture))).toEqual([picture.sha256]);
  });
});

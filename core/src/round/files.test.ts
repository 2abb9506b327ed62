import { describe, expect, it } from 'vitest';
import { Script } from '../../test/script.ts';
import { struck } from '../book/index.ts';
import { levelRead } from '../level/index.ts';
import { pictureTaken } from '../pictures/index.ts';
import { filesNamed } from './files.ts';

const sha256 = 'a'.repeat(64);
const picture = { sha256, type: 'image/jpeg' as const, size: 10, shows: 'The outlet', arrow: null };

describe('the files that an entry names', () => {
  const book = new Script().plan();

  it('are those that its kind says, and none where it says none', () => {
    expect(filesNamed(book.make(pictureTaken, picture as never, book.tap))).toEqual([sha256]);
    const level = { measuringPoint: sha256.slice(0, 20), depth: { text: '7.40', unit: 'm' as const }, water: 'static' as const };
    expect(filesNamed(book.make(levelRead, level, book.well))).toEqual([]);
  });

  it('are those of what a correction puts in the place of another entry', () => {
    const correction = { entry: book.entries[0]!.id, kind: 'picture-taken', reason: 'another picture' };
    expect(filesNamed(book.make(struck, { ...correction, instead: { version: 1, payload: picture } }))).toEqual([sha256]);
    expect(filesNamed(book.make(struck, correction))).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import { Script } from '../../test/script.ts';
import { instrumentChecked } from '../prepare/index.ts';
import { day, hour, minute } from '../time/index.ts';
import { fold, questionMoment, sayAbout } from './index.ts';

describe('a moment that is said after its time', () => {
  const book = new Script().plan();
  const reading = { text: '0.00', unit: 'mg/L' as const };
  book.write(instrumentChecked, {
    instrument: { id: book.book, name: 'Photometer', kind: 'photometer' },
    check: 'photometer-zero',
    nominal: reading,
    reading,
  });
  const checkedAt = book.now;
  book.sampleTap();
  const [step] = book.entries.filter(({ kind }) => kind === 'step-done');
  book.now += hour;
  book.handOver(['261123A-MH1-B']);
  const handedOverAt = book.now;
  const round = fold(book.entries)!;
  const codes = (moment: number) => questionMoment(round, step!, moment, book.now + hour).map(({ code }) => code);

  it('is asked about where it is ahead, on another day, before the checks, or after the hand-over', () => {
    const written = Date.parse(step!.at.utc);
    expect([codes(written), codes(written + minute)]).toEqual([[], []]);
    expect(codes(written + 365 * day)).toEqual(['moment-ahead']);
    const soon = (seconds: number) => questionMoment(round, { ...step!, visit: null }, written + seconds * 1000, written);
    expect([soon(119), soon(121)].map((found) => found.length)).toEqual([0, 1]);
    expect(codes(written - day)).toEqual(['moment-other-day', 'moment-before-check']);
    expect(codes(checkedAt - minute)).toEqual(['moment-before-check']);
    expect(codes(handedOverAt + minute)).toEqual(['moment-after-hand-over']);
  });

  it('has a sentence for each', () => {
    for (const moment of [book.now + 9 * day, checkedAt - day, handedOverAt + minute])
      for (const finding of questionMoment(round, step!, moment, book.now + hour))
        expect(sayAbout(finding).says.length).toBeGreaterThan(20);
  });
});

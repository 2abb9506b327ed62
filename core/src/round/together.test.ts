import { describe, expect, it } from 'vitest';
import { idOf, Script, tapPoint } from '../../test/script.ts';
import { fitnessJudged, riskChecked } from '../arrive/index.ts';
import type { TapPoint } from '../registers/index.ts';
import { clockStarted } from '../tap/index.ts';
import { flushesBeside, fold, foundBeside, lookBeside } from './index.ts';

const [kitchen, ward, far] = [idOf(71), idOf(72), idOf(73)];
const tap = (number: number, change: Partial<TapPoint>): TapPoint => ({ ...tapPoint, id: idOf(number), code: `T${number}`, ...change });

/** Two taps of one building, and one across the street. */
function school([first, second, third] = ['School', 'School', 'Hall']) {
  const book = new Script();
  const visits = [
    { id: kitchen, point: tap(31, { name: 'Kitchen', building: first }), analyses: ['coliforms' as const] },
    { id: ward, point: tap(32, { name: 'Ward', building: second }), analyses: ['coliforms' as const] },
    { id: far, point: tap(33, { name: 'Hall', building: third }), analyses: ['coliforms' as const] },
  ];
  book.plan([], { visits });
  const round = () => fold(book.entries)!;
  const visit = (id: string) => round().visits.find((one) => one.id === id)!;
  return { book, round, visit };
}

describe('taps of one building', () => {
  it('are looked round once, for an hour, and not after somebody left', () => {
    const { book, round, visit } = school();
    expect(lookBeside(round(), visit(ward), book.now)).toBeNull();
    book.write(riskChecked, { hazards: ['dogs'] }, { at: kitchen });
    const { now } = book;
    expect(lookBeside(round(), visit(ward), now + 60_000)).toMatchObject({ name: 'Kitchen', hazards: ['dogs'] });
    expect(lookBeside(round(), visit(ward), now + 61 * 60_000)).toBeNull();
    expect(lookBeside(round(), visit(far), now + 60_000)).toBeNull();
    book.write(riskChecked, { hazards: ['dogs'], left: true }, { at: kitchen });
    expect(lookBeside(round(), visit(ward), book.now)).toBeNull();
  });

  it('are those within forty metres of each other where no building has a name', () => {
    const at = (metres: number) => ({ latitude: 36.5 + metres / 111_195, longitude: -31 });
    const { book, round, visit } = school();
    const beside = (metres: number) => {
      const visits = round().visits.map((one) => ({
        ...one,
        point: { ...one.point, building: undefined, position: at(one.id === ward ? metres : 0) },
      }));
      return lookBeside({ visits }, { ...visit(ward), ...visits.find(({ id }) => id === ward)! }, book.now);
    };
    book.write(riskChecked, { hazards: [] }, { at: kitchen });
    expect([beside(39.5)?.name, beside(41)]).toEqual(['Kitchen', null]);
  });

  it('offer nothing of before, where somebody has left one of them for danger', () => {
    const { book, round, visit } = school(['School', 'School', 'School']);
    book.write(riskChecked, { hazards: [] }, { at: kitchen });
    expect(lookBeside(round(), visit(far), book.now)).toMatchObject({ name: 'Kitchen' });
    book.write(riskChecked, { hazards: ['pit'], left: true }, { at: ward });
    expect(lookBeside(round(), visit(far), book.now)).toBeNull();
  });

  it('share what is the building’s, and not what is an outlet’s', () => {
    const { book, round, visit } = school();
    const found = [
      { fault: 'treatment-meter' as const, isDone: true },
      { fault: 'leaking' as const, isDone: false },
      { fault: 'treatment-sink' as const, isDone: false },
    ];
    book.write(fitnessJudged, { found }, { at: kitchen });
    expect(foundBeside(round(), visit(ward), book.now)!.found).toEqual(found.slice(0, 1));
    expect(foundBeside(round(), visit(far), book.now)).toBeNull();
  });

  it('are flushed at once where both wait for it', () => {
    const { book, round, visit } = school();
    const upTo = (at: string) => {
      const there = Object.assign(Object.create(Object.getPrototypeOf(book) as object) as Script, book, { tap: at });
      there.sampleTap({ procedure: 'coliforms-distribution', before: 'flush' });
      book.now = there.now;
    };
    upTo(ward);
    expect(visit(ward).runs[0]!.now!.step.act.type).toBe('clock');
    expect(flushesBeside(round(), visit(kitchen))).toMatchObject([{ visit: ward, name: 'Ward' }]);
    expect(flushesBeside(round(), visit(far))).toEqual([]);
    const { procedure, step } = flushesBeside(round(), visit(kitchen))[0]!;
    book.write(clockStarted, { procedure, step }, { at: ward });
    expect(flushesBeside(round(), visit(kitchen))).toEqual([]);
  });
});

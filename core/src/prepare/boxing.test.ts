import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { idOf, Script, tapPoint, wellPoint } from '../../test/script.ts';
import { bottleTables, cardOf, type RuleId } from '../bottles/index.ts';
import type { PlannedVisit } from '../plan/index.ts';
import { fold } from '../round/index.ts';
import { bottlesBoxed, boxGroups, missingTraining, neededTraining, proposeBoxes, questionBoxes, type BoxOfBook } from './index.ts';

const table = bottleTables.newest[0]!;
const bottle = (id: string, rule: RuleId, visit = 'v') => ({ id, card: cardOf(table, rule), visit });
const box = (number: number, litres: number): BoxOfBook => ({ id: idOf(number), name: `Box ${number}`, holds: litres / 1000 });
const climates = { bacteria: 'ice', chilled: 'ice', cool: 'mild', any: 'any' } as const;

describe('bottles and boxes', () => {
  const groups = boxGroups([
    bottle('B', 'bacteria'),
    bottle('L', 'legionella'),
    bottle('N', 'ammonium'),
    bottle('M', 'metals'),
    bottle('B2', 'bacteria', 'w'),
  ]);

  it('go together by visit and cold', () => {
    expect(groups.map(({ visit, temperature, bottles }) => [visit, temperature, bottles.join()])).toEqual([
      ['v', 'bacteria', 'B'],
      ['v', 'cool', 'L'],
      ['v', 'chilled', 'N'],
      ['v', 'any', 'M'],
      ['w', 'bacteria', 'B2'],
    ]);
  });

  it('are proposed so that what ice would spoil rides apart, and what takes no harm from cold where there is room', () => {
    const found = proposeBoxes(groups, [box(1, 10), box(2, 20)]);
    expect(found.map(({ box: { name }, bottles }) => [name, bottles.join()])).toEqual([
      ['Box 2', 'B,N,B2,M'],
      ['Box 1', 'L'],
    ]);
    // With one box, ice comes first; what wants a box of its own stands in none.
    expect(proposeBoxes(groups, [box(1, 10)]).flatMap(({ bottles }) => bottles)).not.toContain('L');
    expect(proposeBoxes(groups, [])).toEqual([]);
  });

  it('are asked about where two colds share a box, or it is too small', () => {
    const all = (one: BoxOfBook) => new Map(groups.flatMap(({ bottles }) => bottles.map((id) => [id, one] as const)));
    expect(questionBoxes(groups, all(box(1, 30))).map(({ code, severity }) => [code, severity])).toEqual([['box-two-colds', 'stop']]);
    const narrow = groups.filter(({ temperature }) => temperature === 'bacteria' || temperature === 'cool');
    expect(questionBoxes(narrow, all(box(1, 30))).map(({ code, severity }) => [code, severity])).toEqual([['box-narrow-cold', 'question']]);
    expect(questionBoxes(groups.slice(0, 1), all(box(1, 0.2))).map(({ code }) => code)).toEqual(['box-too-small']);
    expect(questionBoxes(groups, new Map())).toEqual([]);
  });

  it('of a proposal hold what is in them, each bottle once and no two colds', () => {
    const rules = ['bacteria', 'legionella', 'ammonium', 'metals', 'general'] as const;
    fc.assert(
      fc.property(
        fc.array(fc.record({ rule: fc.constantFrom(...rules), visit: fc.constantFrom('a', 'b', 'c') }), { maxLength: 40 }),
        fc.array(fc.integer({ min: 1, max: 30 }), { maxLength: 6 }),
        (bottles, litres) => {
          const own = boxGroups(bottles.map(({ rule, visit }, number) => bottle(`n${number}`, rule, visit)));
          const found = proposeBoxes(
            own,
            litres.map((size, number) => box(number + 1, size)),
          );
          const ids = found.flatMap((one) => one.bottles);
          expect(new Set(ids).size).toBe(ids.length);
          for (const one of found) {
            const inside = own.filter((group) => group.bottles.some((id) => one.bottles.includes(id)));
            expect(inside.reduce((sum, { space }) => sum + space, 0)).toBeLessThanOrEqual(one.box.holds + 1e-6);
            expect(
              new Set(inside.map(({ temperature }) => climates[temperature]).filter((climate) => climate !== 'any')).size,
            ).toBeLessThan(2);
          }
        },
      ),
    );
  });

  it('stand in the book: the last box holds, none takes them out, and what is not of the round stands aside', () => {
    const book = new Script();
    book.plan();
    const [first] = fold(book.entries)!.bottles;
    book.write(bottlesBoxed, { box: box(1, 10), bottles: [first!.id] });
    book.write(bottlesBoxed, { box: box(2, 10), bottles: [first!.id] });
    expect(fold(book.entries)!.prepare.boxed.get(first!.id)?.name).toBe('Box 2');
    book.write(bottlesBoxed, { box: null, bottles: [first!.id] });
    book.write(bottlesBoxed, { box: box(1, 10), bottles: ['261123A-XX-B'] });
    const round = fold(book.entries)!;
    expect(round.prepare.boxed.size).toBe(0);
    expect(round.aside.map(({ misfit }) => misfit.code)).toEqual(['not-in-round']);
  });
});

describe('what somebody must be trained for', () => {
  const visit = (point: PlannedVisit['point'], ...analyses: PlannedVisit['analyses']): PlannedVisit => ({ id: idOf(1), point, analyses });

  it('follows from points and analyses', () => {
    expect(neededTraining([visit(tapPoint, 'coliforms', 'pfas533')])).toEqual(['bacteria', 'pfas']);
    expect(neededTraining([visit({ ...wellPoint, hazards: ['contaminated', 'pit'] }, 'general')])).toEqual([
      'wells',
      'contaminated',
      'confined',
    ]);
  });

  it('is said only of those of whom it is known what they are trained for', () => {
    const visits = [visit(tapPoint, 'coliforms', 'pfas533')];
    expect(missingTraining(visits, {})).toEqual([]);
    expect(missingTraining(visits, { trained: ['bacteria'] })).toEqual(['pfas']);
  });
});

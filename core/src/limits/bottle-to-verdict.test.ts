import { describe, expect, it } from 'vitest';
import { labResult as found } from '../../test/lab-result.ts';
import { analysisIds, bottleTables, cardOf, readOf, rulesFor, type AnalysisId } from '../bottles/index.ts';
import { bareName, parameter, parameterIds } from '../parameters/index.ts';
import { readReport, textTable, unitsToType, type BottleAtLab, type LabResult } from '../read/index.ts';
import { convert, unitsOf, unit, type UnitId } from '../units/index.ts';
import { judgeResult, limitSets, type LimitSet } from './index.ts';

const table = bottleTables.newest[0]!;
const day = '2026-11-23';
const drinking = ['eu-2020-2184', 'us-40-cfr', 'who-gdwq', 'ca-gcdwq', 'de-trinkwv', 'in-is-10500'].map((id) => limitSets.on(id, day)!);

/** What nobody has a value for in water that is drunk: it says how water is, or what has to be treated. */
const withoutValue: readonly AnalysisId[] = [
  'silica',
  'totalNitrogen',
  'phosphorus',
  'orthophosphate',
  'oxygen',
  'oil',
  'carbon',
  'bod',
  'pseudomonas',
  'chromium6',
];

/** What the lab sends of all that may be read of a bottle, each a half. */
function reportOf(analysis: AnalysisId) {
  const rules = rulesFor(table, [analysis]);
  const bottles = new Map<string, BottleAtLab>(
    rules.map((rule, place) => {
      const card = cardOf(table, rule);
      return [`W1-${place}`, { name: card.name, parameters: readOf(card), asked: card.parameters, filledOn: day }];
    }),
  );
  const rows = [...bottles].flatMap(([label, { parameters }]) => parameters.map((id) => [label, bareName(id), '0.5', unitsToType(id)[0]!]));
  const csv = [['Sample', 'Parameter', 'Result', 'Unit'], ...rows].map((cells) => cells.map((cell) => `"${cell}"`).join(',')).join('\n');
  const read = readReport(textTable(new TextEncoder().encode(csv)), bottles);
  if ('refusal' in read) throw new Error(read.refusal.code);
  return { asked: [...bottles.values()].flatMap(({ parameters }) => parameters), draft: read.draft };
}

describe('from the bottle to the verdict', () => {
  it.each(analysisIds)('%s: all of it is read, nothing is left to compare by hand', (analysis) => {
    const { asked, draft } = reportOf(analysis);
    expect([draft.unreadCount, draft.questions, draft.missing]).toEqual([0, [], []]);
    expect(draft.results.map((one) => one.parameter).sort()).toEqual([...asked].sort());
    const states = draft.results.flatMap((one) => drinking.map((set) => judgeResult(one, set, day).state));
    expect(states.some((state) => state !== 'no-value')).toBe(!withoutValue.includes(analysis));
  });
});

describe('a number that is just the value', () => {
  /** A value of a set as a lab would print it in another unit, to so many digits, and back in the parameter's own. */
  const printedIn = (value: number, own: UnitId, other: UnitId, digits: number) =>
    convert(Number(convert(value, own, other).toPrecision(digits)), other, own);
  const stateOf = (set: LimitSet, id: LabResult['parameter'], value: number) => judgeResult(found(id, value), set, day).state;

  it('is judged alike in every unit, whichever the lab prints', () => {
    const differ: string[] = [];
    for (const set of limitSets.newest)
      for (const row of set.rows) {
        const own = parameter(row.parameter).unit;
        const value = convert((row.most ?? row.least)!, row.unit, own);
        for (const other of unitsOf(unit(own).dimension))
          for (const times of [0.99, 1, 1.01]) {
            const [one, same] = [
              stateOf(set, row.parameter, value * times),
              stateOf(set, row.parameter, printedIn(value * times, own, other, times === 1 ? 14 : 8)),
            ];
            if (one !== same) differ.push(`${set.id} ${row.parameter} ${value * times} in ${other}: ${one}, ${same}`);
          }
      }
    expect(differ).toEqual([]);
  });

  it('is never better for being more, where a set has no lower value', () => {
    for (const set of limitSets.newest)
      for (const id of parameterIds) {
        const rows = set.rows.filter((row) => row.parameter === id);
        if (rows.length === 0 || rows.some((row) => row.least !== undefined)) continue;
        const own = parameter(id).unit;
        const steps = [0, ...rows.map((row) => convert(row.most!, row.unit, own))]
          .flatMap((value) => [value, value * 1.1 + 1e-6])
          .sort((a, b) => a - b);
        const isOver = steps.map((value) => stateOf(set, id, value).startsWith('over-'));
        expect(isOver.indexOf(true) === -1 || isOver.slice(isOver.indexOf(true)).every(Boolean), `${set.id} ${id}`).toBe(true);
      }
  });
});

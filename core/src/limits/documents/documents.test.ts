import { describe, expect, it } from 'vitest';
import { labResult as found } from '../../../test/lab-result.ts';
import { parameter, ParameterId, parameterIds } from '../../parameters/index.ts';
import { convert, UnitId } from '../../units/index.ts';
import { judgeResult, judgeSums, limitSetAt, limitSets, type LimitKind, type LimitRow, type SumRule } from '../index.ts';
import { sums, texts } from './texts.ts';

/** Standard atomic weights of IUPAC (2021): N 14.007, O 15.999. */
const perNitrogen: Partial<Record<ParameterId, number>> = {
  nitrate: (14.007 + 3 * 15.999) / 14.007,
  nitrite: (14.007 + 2 * 15.999) / 14.007,
};
const units: Record<string, UnitId> = { '/100mL': 'per100mL', '/L': 'perL', '/mL': 'permL' };
const usualDay = '2026-11-23';

interface Printed {
  id: ParameterId;
  kind: LimitKind;
  isLeast: boolean;
  /** In the parameter's own unit. */
  value: number;
  day: string;
  at: string;
  isTreated: boolean;
}

/** `nitrate 10 mg/L as N @2029-04-26` */
function printed(text: string, kind: LimitKind): Printed[] {
  const [, name, least, number, rest] = /^(each pesticide|\S+) (least )?([\d.]+) (.+)$/.exec(text.trim())!;
  const [, unitText, asN, treated, at = 'house-tap', day = usualDay] = /^(.+?)( as N)?( treated)?(?: at (\S+))?(?: @(\S+))?$/.exec(rest!)!;
  const unit = UnitId.parse(units[unitText!] ?? unitText);
  const strict = ['aldrin', 'dieldrin', 'heptachlor', 'heptachlorEpoxide', 'pesticidesSum'];
  const ids =
    name === 'each pesticide'
      ? parameterIds.filter((id) => parameter(id).kind === 'pesticide' && !strict.includes(id))
      : [ParameterId.parse(name)];
  return ids.map((id) => ({
    id,
    kind,
    isLeast: least !== undefined,
    value: convert(Number(number) * (asN ? perNitrogen[id]! : 1), unit, parameter(id).unit),
    day,
    at,
    isTreated: treated !== undefined,
  }));
}

const lines = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
const rowsOfText = (text: string) =>
  lines(text).flatMap((line) => {
    const [kind, values] = line.split(': ') as [LimitKind, string];
    return values.split(';').flatMap((one) => printed(one, kind));
  });

it('every set has a text beside it', () => {
  expect(limitSets.newest.map(({ id }) => id).sort()).toEqual(Object.keys(texts).sort());
});

describe.each(Object.entries(texts))('%s, as it is printed', (id, text) => {
  const all = rowsOfText(text).map((row) => ({
    row,
    says: `${row.kind}: ${row.id} ${row.isLeast ? 'least ' : ''}${row.value} ${row.day} ${row.at}`,
  }));

  it.each(all)('$says', ({ row: { id: what, kind, isLeast, value, day, at, isTreated } }) => {
    const set = limitSetAt(limitSets.on(id, day)!, { kind: at, isTreated });
    // A parameter may have values of other kinds, and at a works a stricter one beside that of the tap.
    const ofKind = set.rows.filter((row) => row.kind === kind && (at === 'house-tap' || row.at?.includes(at)));
    const only = { ...set, rows: ofKind };
    const stateAt = (number: number) => judgeResult(found(what, number), only, day).state;
    const over = `over-${kind}`;
    // At the value it is not broken, and half a per cent beyond it is: nearer than any slip of the pen.
    const beyond = value === 0 ? 1 : value * (isLeast ? 0.995 : 1.005);
    const within = value === 0 ? 0 : value * (isLeast ? 1.005 : 0.995);
    expect([stateAt(within), stateAt(value) === over, stateAt(beyond)]).toEqual(['meets', false, over]);
  });

  it('holds every value of the set, and each on its days', () => {
    const holds = (row: LimitRow, one: Printed) =>
      one.id === row.parameter &&
      one.kind === row.kind &&
      (row.least === undefined || all.some((other) => other.row.id === one.id && other.row.isLeast)) &&
      (!row.from || one.day >= row.from) &&
      (!row.until || one.day <= row.until) &&
      (row.at === undefined || row.at.includes(one.at)) &&
      (row.isTreated === undefined || row.isTreated === one.isTreated);
    const untold = limitSets.on(id, usualDay)!.rows.filter((row) => !all.some(({ row: one }) => holds(row, one)));
    expect(untold.map((row) => `${row.kind}: ${row.parameter} ${row.most ?? row.least} ${row.unit}`)).toEqual([]);
  });
});

/** The editions before the newest one: what they hold is what the text says on its day as well. */
const before = limitSets.all.filter((set) => !limitSets.newest.includes(set));

it.each(before.map((set) => [`${set.id}@${set.edition}`, set] as const))('%s holds what the text says', (_, set) => {
  const all = rowsOfText(texts[set.id]!);
  const differ = set.rows.filter((row) => {
    const day = row.from && row.from > usualDay ? row.from : usualDay;
    const value = (number: number) => convert(number, row.unit, parameter(row.parameter).unit);
    const isPrinted = (number: number | undefined, isLeast: boolean) =>
      number === undefined ||
      all.some(
        (one) =>
          one.id === row.parameter &&
          one.kind === row.kind &&
          one.isLeast === isLeast &&
          one.day === day &&
          Math.abs(one.value - value(number)) <= 0.0005 * one.value,
      );
    return !isPrinted(row.most, false) || !isPrinted(row.least, true);
  });
  expect(differ.map(({ parameter: id, most, unit }) => `${id} ${most} ${unit}`)).toEqual([]);
  const sumsOfText = lines(sums[set.id]!);
  for (const rule of set.sums)
    for (const { parameter: id, of, unit } of rule.shares) {
      const part = sumsOfText.flatMap((line) => line.split(' + ')).find((one) => one.startsWith(`${id} `))!;
      const [said] = printed(part, 'health');
      expect(convert(of, unit, parameter(id).unit) / said!.value, `${rule.id} ${id}`).toBeCloseTo(1, 3);
    }
});

const pfas20 =
  'pfba pfpea pfhxa pfhpa pfoa pfna pfda pfunda pfdoda pftrda pfbs pfpes pfhxs pfhps pfos pfns pfds pfunds pfdods pftrds'.split(' ');

describe.each(Object.entries(sums))('the sums of %s', (id, text) => {
  const all = lines(text).map((line) => {
    const [, rule, day = usualDay] = /^(.*?)(?: @(\S+))?$/.exec(line)!;
    const whole = /^(all of PFAS 20|any pesticide) (.+)$/.exec(rule!);
    const ids = whole?.[1] === 'any pesticide' ? ['atrazine', 'glyphosate', 'mcpa'] : pfas20;
    const parts = whole ? ids.map((one) => `${one} ${whole[2]}`) : rule!.split(' + ');
    return { line, day, parts: parts.flatMap((part) => printed(part, 'health')) };
  });

  it.each(all)('$line', ({ day, parts }) => {
    const set = limitSets.on(id, day)!;
    const isIt = ({ shares, isOpen }: SumRule) =>
      parts.every((part) => shares.some((share) => share.parameter === part.id)) && (isOpen === true || shares.length === parts.length);
    /** Every part with a share of its value that together are so much. */
    const sumAt = (total: number) => {
      const results = parts.map((part, place) => {
        // Uneven shares, so that no part can be left out or counted twice.
        const weight = (place + 1) / ((parts.length * (parts.length + 1)) / 2);
        return found(part.id, part.value * total * weight);
      });
      return judgeSums(results, set, day).filter(({ rule }) => isIt(rule));
    };
    expect([sumAt(0.995).map(({ state }) => state), sumAt(1.005).map(({ state }) => state.startsWith('over-'))]).toEqual([
      ['meets'],
      [true],
    ]);
  });

  it('are all of the set', () => {
    expect(all.length).toBe(limitSets.on(id, usualDay)!.sums.length);
  });
});

it('only sets with a text of their sums have sums', () => {
  expect(
    limitSets.newest
      .filter((set) => set.sums.length > 0)
      .map(({ id }) => id)
      .sort(),
  ).toEqual(Object.keys(sums).sort());
});

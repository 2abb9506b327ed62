import type { Finding } from '../findings/index.ts';
import { parameter } from '../parameters/index.ts';
import { ownEdition, refOfOwnSet, type OwnLimit, type OwnLimitSet } from '../registers/index.ts';
import { convert } from '../units/index.ts';
import type { LimitRow, LimitSet } from './tables/limit-set.ts';
import { limitSets } from './tables/index.ts';
import { sentenceOf } from './tables/sentences.ts';

const made = new WeakMap<OwnLimitSet, LimitSet | null>();

/** A value in the way in which the parameter is kept. */
const inOwnWay = ({ parameter: id, as }: OwnLimit, value: number) =>
  value * (as === undefined ? 1 : (parameter(id).expressedAs?.[as] ?? 1));

function rowOf(row: OwnLimit, source: string): LimitRow {
  const { most, least, as: _, place = source, says = sentenceOf(row), ...rest } = row;
  return {
    ...rest,
    place,
    says,
    ...(most === undefined ? {} : { most: inOwnWay(row, most) }),
    ...(least === undefined ? {} : { least: inOwnWay(row, least) }),
  };
}

/**
 * A set of the house as the judging takes it: its own values beside those of the published set that it adds to, so that the stricter one
 * decides; null where this copy of the product does not have the published one. Sums and follow-ups are those of the published set.
 */
export function setOfOwn(own: OwnLimitSet): LimitSet | null {
  const known = made.get(own);
  if (known !== undefined) return known;
  const base = own.base === undefined ? null : limitSets.find(own.base);
  const leaves = ({ parameter: id }: { parameter: LimitRow['parameter'] }) => !(own.without ?? []).includes(id);
  const set: LimitSet | null =
    own.base !== undefined && base === null
      ? null
      : {
          ...ownEdition(own),
          name: own.name,
          source: base ? `${own.source}; beside ${base.source}` : own.source,
          from: base?.from ?? '1900-01-01',
          ...(base?.until === undefined ? {} : { until: base.until }),
          ...(base?.comparison === undefined ? {} : { comparison: base.comparison }),
          ...(own.isGuarded || base?.isGuarded ? { isGuarded: true as const } : {}),
          rows: [...own.rows.map((row) => rowOf(row, own.source)), ...(base?.rows.filter(leaves) ?? [])],
          sums: base?.sums.filter(({ shares }) => shares.every(leaves)) ?? [],
        };
  made.set(own, set);
  return set;
}

/**
 * The set that an edition names, among the published ones and those of the house; null where this copy of the product does not have it.
 * @example limitSetNamed('who-gdwq@2026-3', [])?.name // 'WHO guideline values'
 */
export function limitSetNamed(ref: string, own: readonly OwnLimitSet[]): LimitSet | null {
  const house = own.find((one) => refOfOwnSet(one) === ref);
  return house ? setOfOwn(house) : limitSets.find(ref);
}

/** A value so many times above or below the middle one of the published values of its parameter may be in another unit. Common practice. */
const farOff = 100;

/** Asks about values far from what published sets say: µg/L typed as mg/L is a thousand times too much. */
export function questionOwnLimits({ rows }: Pick<OwnLimitSet, 'rows'>): Finding[] {
  return rows.flatMap((row, at): Finding[] => {
    const { parameter: id, most, unit } = row;
    if (!most) return [];
    const own = parameter(id).unit;
    const value = convert(inOwnWay(row, most), unit, own);
    const published = limitSets.newest
      .flatMap((set) => set.rows.filter((one) => one.parameter === id && one.most))
      .map((one) => convert(one.most!, one.unit, own));
    if (published.length === 0) return [];
    const usual = published.sort((x, y) => x - y)[Math.floor(published.length / 2)]!;
    if (Math.max(value / usual, usual / value) < farOff) return [];
    return [
      {
        code: 'far-from-published',
        severity: 'question',
        field: `rows.${at}.unit`,
        data: { parameter: parameter(id).name, value, usual, unit: own },
      },
    ];
  });
}

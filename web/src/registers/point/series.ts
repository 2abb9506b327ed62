import { atRest, type LevelOfRecord } from '@fonte/core/level';

/** What a hydrograph shows. */
export interface Series {
  says: string;
  /** Depths grow downwards. */
  isDepth: boolean;
  /** The mark that depths are below. */
  mark?: string | undefined;
  /** m, oldest first. */
  levels: { at: number; value: number }[];
}

/** Levels that a logger recorded in the well: m below a mark whose elevation (m) may be known. */
export interface Logged {
  mark: string;
  elevation: number | undefined;
  times: readonly number[];
  depths: readonly number[];
}

/** What loggers recorded, as the series shows levels: elevations, or depths below its mark; what cannot be shown so is left out. */
export function logged({ isDepth, mark }: Series, records: readonly Logged[]): { at: number; value: number }[] {
  const rows = records.flatMap(({ mark: of, elevation, times, depths }) => {
    if (isDepth ? of !== mark : elevation === undefined) return [];
    return times.map((at, place) => ({ at, value: isDepth ? depths[place]! : elevation! - depths[place]! }));
  });
  return rows.sort((a, b) => a.at - b.at);
}

/** Two levels are no course. */
const least = 3;

/** The course of a well's levels: elevations where the marks have them, or depths below the mark that was last used; null where there are too few. */
export function hydrograph(levels: readonly LevelOfRecord[]): Series | null {
  const record = atRest(levels);
  const elevations = record.flatMap(({ at, elevation }) => (elevation === null ? [] : [{ at, value: elevation }]));
  if (elevations.length >= least) return { says: 'Water level elevation', isDepth: false, levels: elevations };
  const mark = record.at(-1)?.measuringPoint;
  const depths = record.filter((level) => level.measuringPoint === mark).map(({ at, depth }) => ({ at, value: depth }));
  return depths.length >= least ? { says: `Depth to water below ${mark}`, isDepth: true, mark, levels: depths } : null;
}

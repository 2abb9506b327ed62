import { atRest, type LevelOfRecord } from '@fonte/core/level';

/** What a hydrograph shows. */
export interface Series {
  says: string;
  /** Depths grow downwards. */
  isDepth: boolean;
  /** m, oldest first. */
  levels: { at: number; value: number }[];
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
  return depths.length >= least ? { says: `Depth to water below ${mark}`, isDepth: true, levels: depths } : null;
}

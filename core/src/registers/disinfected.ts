import type { Point, PointKind } from './point.ts';

/** Whose water a point gives: a network's, a source's before anything is done to it, or somebody's own. */
export type Origin = 'network' | 'raw' | 'private';

const rawKinds: readonly PointKind[] = ['raw-tap', 'hand-pump', 'spring'];

/** Whose water a point gives: as it was registered, else as its kind says. */
export function originOf({ kind, water }: Pick<Point, 'kind' | 'water'>): Origin {
  if (water === 'private' || water === 'raw') return water;
  if (water !== undefined) return 'network';
  return kind === 'private-well' ? 'private' : rawKinds.includes(kind) ? 'raw' : 'network';
}

/**
 * Whether the water of a point is disinfected: as it was registered; else raw and private water is not, whatever residual stands
 * beside it, and a network's is where a residual is kept.
 */
export function isDisinfected(point: Point): boolean {
  if (point.type !== 'tap') return false;
  if (point.disinfection !== undefined) return point.disinfection !== 'none';
  return originOf(point) === 'network' && point.tap.residualMinimum !== null;
}

/** The least residual in mg/L that is kept at a point; null where its water is not disinfected, or nobody said how much. */
export const residualLeast = (point: Point): number | null =>
  point.type === 'tap' && isDisinfected(point) ? point.tap.residualMinimum : null;

/**
 * Whether people drink the water of a point: by what its water is used for where the register says it, whatever the point is registered for; a
 * private well too, where it does not.
 * @example isDrunk({ kind: 'monitoring-well', use: 'monitoring', water: 'private' }) // true
 */
export function isDrunk({ kind, use, water }: Pick<Point, 'kind' | 'use' | 'water'>): boolean {
  if (water === 'irrigation' || water === 'stock') return false;
  return water === 'private' || water === 'treated' || kind === 'private-well' || use === 'supply';
}

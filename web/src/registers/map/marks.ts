import type { PointKind } from '@fonte/core/registers';

/** Kinds that look alike on a map: a shape, so that colour is never alone. */
export type MarkShape = 'well' | 'tap' | 'open' | 'other';

const shapeOf: Partial<Record<PointKind, MarkShape>> = {
  'monitoring-well': 'well',
  'supply-well': 'well',
  'private-well': 'well',
  well: 'well',
  'open-well': 'open',
  spring: 'open',
  tank: 'open',
  'house-tap': 'tap',
  'outside-tap': 'tap',
  'raw-tap': 'tap',
  'hand-pump': 'tap',
  outlet: 'tap',
};
export const markOf = (kind: PointKind): MarkShape => shapeOf[kind] ?? 'other';

export const shapeNames: Record<MarkShape, string> = { well: 'Wells', tap: 'Taps', open: 'Open water', other: 'Others' };

const drawn: Record<MarkShape, string> = {
  well: '<rect x="4" y="4" width="14" height="14"/><path d="M11 4v14"/>',
  tap: '<path d="M11 2.5c4 5 6 7.4 6 10.3a6 6 0 0 1-12 0c0-2.900 2-5.300 6-10.300z"/>',
  open: '<circle cx="11" cy="11" r="7.5"/><path d="M5 12.500q3-3 6 0t6 0"/>',
  other: '<path d="M11 3l8 8-8 8-8-8z"/>',
};

/** A mark as SVG; crossed out where the point is out of use. */
export function markSvg(shape: MarkShape, isOut: boolean): string {
  const cross = isOut ? '<path class="cross" d="M3 3l16 16M19 3L3 19"/>' : '';
  return `<svg viewBox="0 0 22 22" width="22" height="22" aria-hidden="true">${drawn[shape]}${cross}</svg>`;
}

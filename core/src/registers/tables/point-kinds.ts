/** What a point is. `well`: its water can be measured and purged; `tap`: water comes out of it, or is dipped, without that. */
export interface PointKindRow {
  name: string;
  type: 'well' | 'tap';
}

/** The kinds of points. A kind that nobody said is one of its own: it is never guessed from the name. */
export const pointKinds = {
  'monitoring-well': { name: 'Monitoring well', type: 'well' },
  'supply-well': { name: 'Supply well', type: 'well' },
  'private-well': { name: 'Private well', type: 'well' },
  'open-well': { name: 'Open well', type: 'well' },
  well: { name: 'Well, kind not said', type: 'well' },
  'house-tap': { name: 'House tap', type: 'tap' },
  'outside-tap': { name: 'Outside tap', type: 'tap' },
  'raw-tap': { name: 'Raw tap at a well', type: 'tap' },
  'entry-point': { name: 'Entry point to the network', type: 'tap' },
  'sampling-station': { name: 'Sampling station', type: 'tap' },
  'hand-pump': { name: 'Hand pump', type: 'tap' },
  spring: { name: 'Spring', type: 'tap' },
  shower: { name: 'Shower', type: 'tap' },
  tank: { name: 'Tank', type: 'tap' },
  surface: { name: 'Surface to swab', type: 'tap' },
  outlet: { name: 'Outlet, kind not said', type: 'tap' },
} as const satisfies Record<string, PointKindRow>;

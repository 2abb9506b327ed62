import type { TemperatureClass } from '../../bottles/index.ts';

/** What keeps a box cold. */
export interface ColdRow {
  name: string;
  /** Bottles that it may harm, by the cold they want. */
  harms: readonly TemperatureClass[];
  /** Gear that a bottle asks for and this is not. */
  against: readonly string[];
}

/** Common practice; that PFAS want real ice: EPA Methods 533 and 537.1 (from memory). */
export const colds = {
  ice: { name: 'Wet ice, in bags', harms: ['cool'], against: [] },
  packs: { name: 'Ice packs', harms: ['cool'], against: ['pfas-ice'] },
  fridge: { name: 'Powered cold box', harms: [], against: [] },
  none: { name: 'Nothing', harms: [], against: [] },
} as const satisfies Record<string, ColdRow>;

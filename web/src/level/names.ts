import type { WaterState } from '@fonte/core/level';

export const waterNames: Record<WaterState, string> = { static: 'At rest', 'pumped-lately': 'Pumped lately', pumping: 'Pumping now' };

/** The units a depth is typed in. */
export const depthUnits = ['m', 'ft'] as const;

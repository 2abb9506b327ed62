import type { MpnSet } from '../mpn.ts';

/** Wells and tubes as they are used: volumes in mL. Whatever else there is can be typed. */
export interface TrayRow {
  name: string;
  sets: readonly Omit<MpnSet, 'positive'>[];
}

export const trays = {
  'wells-51': { name: '51 equal wells of 100 mL', sets: [{ volume: 100 / 51, wells: 51 }] },
  'wells-97': {
    name: '97 wells of two sizes, 100 mL together',
    sets: [
      { volume: 1.86, wells: 49 },
      { volume: 0.186, wells: 48 },
    ],
  },
  'bottle-1': { name: 'One bottle of 100 mL', sets: [{ volume: 100, wells: 1 }] },
  'tubes-10': { name: '10 tubes of 10 mL', sets: [{ volume: 10, wells: 10 }] },
  'tubes-5': {
    name: '5 tubes each of 10, 1 and 0.1 mL',
    sets: [
      { volume: 10, wells: 5 },
      { volume: 1, wells: 5 },
      { volume: 0.1, wells: 5 },
    ],
  },
  'tubes-3': {
    name: '3 tubes each of 10, 1 and 0.1 mL',
    sets: [
      { volume: 10, wells: 3 },
      { volume: 1, wells: 3 },
      { volume: 0.1, wells: 3 },
    ],
  },
} as const satisfies Record<string, TrayRow>;
export type TrayId = keyof typeof trays;

import type { BottleRule } from '../../rule.ts';
import { rules as before } from '../bottles-2026-3.ts';
import { day, duplicates, equipmentBlank, nitric, plain, preserved, table2 } from './parts.ts';

const acidWashed = { container: 'Acid-washed polyethylene', gear: ['no-metal'], extras: [duplicates] } as const;
const noIce = { temperature: 'any', temperatureText: 'Needs no cooling once it is acid' } as const;

/** Metals by what is done to the water before the acid. */
export const metals = {
  metals: { ...before.metals, gear: ['no-metal'], extras: [duplicates, equipmentBlank] },
  totalMetals: {
    ...preserved,
    ...acidWashed,
    ...noIce,
    name: 'Metals, total',
    letter: 'MT',
    order: 2.1,
    preservative: nitric,
    filter: null,
    holdingHours: 180 * day,
    holdingFor: 'Metals except mercury and chromium (VI)',
    parameters: before.metals.parameters,
    source: `${table2} (metals: HNO3 to pH < 2, 6 months)`,
  },
  mercury: {
    ...preserved,
    ...acidWashed,
    ...noIce,
    name: 'Mercury',
    letter: 'HG',
    order: 2.2,
    container: 'Glass or fluoropolymer, acid-washed',
    preservative: nitric,
    holdingHours: 28 * day,
    holdingFor: 'Mercury',
    measures: 'Mercury',
    source: `${table2} (mercury: HNO3 to pH < 2, 28 d)`,
  },
  chromium6: {
    ...preserved,
    ...acidWashed,
    name: 'Chromium (VI)',
    letter: 'CR',
    order: 2.3,
    preservative: {
      name: 'Ammonium sulfate buffer, pH 9.3 to 9.7',
      hazard: 'Caustic: gloves and eye protection, keep upright.',
    },
    filter: '0.45 µm in line, within 15 minutes',
    holdingHours: 28 * day,
    holdingFor: 'Chromium (VI), filtered and buffered; 24 hours without',
    measures: 'Chromium (VI)',
    source: `${table2} (chromium VI: filter, ammonium sulfate pH 9.3–9.7, ≤ 6 °C, 28 d)`,
  },
  hardness: {
    ...preserved,
    ...noIce,
    name: 'Hardness',
    letter: 'HD',
    order: 4.5,
    preservative: nitric,
    holdingHours: 180 * day,
    holdingFor: 'Hardness',
    parameters: ['calcium', 'magnesium'],
    source: `${table2} (hardness: HNO3 or H2SO4 to pH < 2, 6 months)`,
  },
  silica: {
    ...plain,
    name: 'Silica',
    letter: 'SI',
    order: 5.6,
    container: 'Polyethylene, no glass',
    holdingHours: 28 * day,
    holdingFor: 'Silica',
    measures: 'Silica',
    source: `${table2} (silica: plastic, ≤ 6 °C, 28 d)`,
  },
} as const satisfies Record<string, BottleRule>;

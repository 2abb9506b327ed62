import type { ProbeParameter } from '../../purge/index.ts';

/** What a water reads in each parameter, in the parameter's own unit. */
export type Water = Record<ProbeParameter, number>;

/** How a simulated well behaves. */
export interface WellCharacter {
  name: string;
  says: string;
  /** Transmissivity in m²/s and storage coefficient of its aquifer. */
  transmissivity: number;
  storage: number;
  /** What stood in the casing, what the aquifer gives once its surroundings are rinsed, and what it gives at first. */
  stagnant: Water;
  aquifer: Water;
  near: Water;
  /** Pumped volume in m³ over which the surroundings of the screen are rinsed to 1/e. */
  rinse: number;
  /** What silt lies at the screen, as NTU stirred up at first, and NTU more for each m/s through the screen above `calm`. */
  silt: { first: number; stirred: number; calm: number };
  /** How much each parameter drifts for each m³ pumped: another water comes. */
  drift: Partial<Water>;
}

const stagnant: Water = { temperature: 18.4, ph: 7.42, conductivity: 655, oxygen: 6.4, turbidity: 18, redox: 182 };
const aquifer: Water = { temperature: 16.1, ph: 6.93, conductivity: 571, oxygen: 3.4, turbidity: 1.2, redox: 118 };
const near: Water = { temperature: 16.3, ph: 7.02, conductivity: 588, oxygen: 4.3, turbidity: 2, redox: 139 };
const calm = { first: 14, stirred: 4e5, calm: 4e-5 };

/** Invented wells, each a lesson of its own. */
export const wells = {
  fast: {
    name: 'Quick well',
    says: 'Sand and gravel: the level hardly falls, and the water is soon that of the aquifer.',
    transmissivity: 6e-4,
    storage: 2e-3,
    stagnant,
    aquifer,
    near,
    rinse: 0.004,
    silt: calm,
    drift: {},
  },
  slow: {
    name: 'Slow well',
    says: 'Oxygen takes its time: everything else holds long before.',
    transmissivity: 1.2e-4,
    storage: 1e-3,
    stagnant,
    aquifer: { ...aquifer, oxygen: 1.1, redox: 42 },
    near: { ...near, oxygen: 4.8, redox: 150 },
    rinse: 0.014,
    silt: calm,
    drift: {},
  },
  tight: {
    name: 'Tight well',
    says: 'Clay: pumped faster than a trickle, its level falls and goes on falling.',
    transmissivity: 4e-6,
    storage: 5e-4,
    stagnant,
    aquifer,
    near,
    rinse: 0.003,
    silt: calm,
    drift: {},
  },
  turbid: {
    name: 'Turbid well',
    says: 'Silt at the screen: it clears slowly, and clouds again when it is pumped hard.',
    transmissivity: 1.5e-4,
    storage: 1e-3,
    stagnant: { ...stagnant, turbidity: 220 },
    aquifer: { ...aquifer, turbidity: 6 },
    near: { ...near, turbidity: 40 },
    rinse: 0.012,
    silt: { first: 240, stirred: 6e6, calm: 1.5e-5 },
    drift: {},
  },
  drifting: {
    name: 'Drifting well',
    says: 'Another water is drawn in: conductivity and oxygen never come to rest.',
    transmissivity: 2e-4,
    storage: 1e-3,
    stagnant,
    aquifer,
    near,
    rinse: 0.006,
    silt: calm,
    drift: { conductivity: 9000, oxygen: -120, redox: -2500 },
  },
  dry: {
    name: 'Well that runs dry',
    says: 'It gives less than any pump takes: purge it dry, and come back.',
    transmissivity: 2e-7,
    storage: 1e-4,
    stagnant,
    aquifer,
    near,
    rinse: 0.002,
    silt: calm,
    drift: {},
  },
} as const satisfies Record<string, WellCharacter>;

import { chance } from '../src/simulation/noise.ts';
import { SimulatedWell, wellCharacter, type Water, type WellCharacter } from '../src/simulation/index.ts';
import type { PurgeSet } from '../src/purge/index.ts';

/** Wells of any sort, made by lot: how the aquifer gives, what its water is, how long it takes to come, and how hard it is pumped. */
export function randomWell(lot: number): { character: WellCharacter; flow: number } {
  const part = (place: number) => chance(lot, place);
  const between = (place: number, least: number, most: number) => least + (most - least) * part(place);
  /** As likely small as large, over several powers of ten. */
  const anySize = (place: number, least: number, most: number) => least * (most / least) ** part(place);
  const stagnant: Water = {
    temperature: between(1, 15, 21),
    ph: between(2, 6.8, 7.8),
    conductivity: between(3, 300, 900),
    oxygen: between(4, 4, 9),
    turbidity: anySize(5, 5, 200),
    redox: between(6, 100, 200),
  };
  const aquifer: Water = {
    temperature: between(7, 12, 17),
    ph: between(8, 6.4, 7.4),
    conductivity: between(9, 300, 900),
    oxygen: between(10, 0.3, 5.3),
    turbidity: anySize(11, 0.5, 5),
    redox: between(12, -50, 150),
  };
  const share = between(13, 0.15, 0.65);
  const near = Object.fromEntries(
    Object.entries(aquifer).map(([id, value]) => [id, value + (stagnant[id as keyof Water] - value) * share]),
  ) as Water;
  return {
    character: {
      ...wellCharacter('fast'),
      transmissivity: anySize(14, 1e-5, 1e-3),
      storage: anySize(15, 1e-4, 1e-2),
      stagnant,
      aquifer,
      near,
      rinse: anySize(16, 0.002, 0.015),
      silt: { first: anySize(17, 2, 100), stirred: 4e5, calm: 4e-5 },
    },
    flow: between(18, 0.15, 0.65) * (1e-3 / 60),
  };
}

/** So many sets of a random well, read every five minutes from when the first water of the well has come through. */
export function purged(lot: number, count: number): Pick<PurgeSet, 'values'>[] {
  const { character, flow } = randomWell(lot);
  const shape = { insideDiameter: 0.052, bottom: 18.6, screenTop: 11.6, screenBottom: 17.6, rest: 7.5 };
  const well = new SimulatedWell(character, shape, { intake: 14.6, tubing: 0.45e-3, cell: 0.5e-3 }, lot);
  well.setFlow(flow);
  const first = Math.ceil(0.95e-3 / flow / 300);
  return Array.from({ length: count }, (_, place) => {
    well.advanceTo((first + place) * 300);
    return { values: well.reading() };
  });
}

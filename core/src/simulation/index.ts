import { wells, type WellCharacter } from './tables/wells.ts';

export { Drawdown, type Hydraulics } from './drawdown.ts';
export { seedOf } from './noise.ts';
export { readOutLogger, type LoggerHung } from './logger.ts';
export { readOutBox } from './box.ts';
export { SimulatedWell, wellAfter, type FlowChange, type WellGear, type WellShape } from './well.ts';
export { chlorineAt, photometerShows, type ChlorineWater, type CuvetteTest } from './photometer.ts';
export { begin, Instruments, shapeOf, sounds, withFlow, type Played } from './instruments.ts';
export type { Water, WellCharacter } from './tables/wells.ts';
export type WellName = keyof typeof wells;
export const wellNames = Object.keys(wells) as WellName[];
export const wellCharacter = (name: WellName): WellCharacter => wells[name];

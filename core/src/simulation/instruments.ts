import { normal, seedOf } from './noise.ts';
import type { SimulatedWell } from './well.ts';
import { wellAfter, type FlowChange, type WellGear, type WellShape } from './well.ts';
import { wells } from './tables/wells.ts';
import { belowMark, type MeasuringPoint, type Well } from '../registers/index.ts';

type WellName = keyof typeof wells;

/** What was done to a simulated well since it was begun: enough to have it again, wherever and whenever. */
export interface Played {
  well: WellName;
  /** ms since 1970 in UTC. */
  begun: number;
  shape: WellShape;
  gear: WellGear;
  seed: number;
  changes: readonly FlowChange[];
}

/** So a well is built where the register does not know it, in m. */
const usual = { insideDiameter: 0.05, bottom: 15, screenTop: 9, screenBottom: 14, rest: 6 } as const;

/**
 * The shape of a registered well below one of its marks, as far as it is known; the rest as wells of its kind are.
 * @param rest the last level at rest, in m below the mark; null where there is none
 */
export function shapeOf(well: Well, mark: MeasuringPoint, rest: number | null, seed: number): WellShape {
  const below = (depth: number | undefined) => belowMark(mark, depth);
  const bottom = below(well.bottom) ?? usual.bottom;
  const screenTop = below(well.screenTop) ?? Math.min(usual.screenTop, bottom * 0.6);
  const screenBottom = below(well.screenBottom) ?? bottom - 1;
  // The water does not stand where it stood the last time.
  const moved = (rest ?? Math.min(usual.rest, bottom * 0.4)) + 0.06 * normal(seed, 1);
  return {
    insideDiameter: well.insideDiameter ?? usual.insideDiameter,
    bottom,
    screenTop,
    screenBottom,
    rest: Math.min(moved, bottom - 0.3),
  };
}

/** A well begun at a moment (ms), of a name and a shape; `of` tells one from another. */
export function begin(well: WellName, shape: WellShape, gear: WellGear, begun: number, of: string): Played {
  return { well, begun, shape, gear, seed: seedOf(of), changes: [] };
}

/** The pump was set to a flow in m³/s at a moment (ms). */
export function withFlow(played: Played, flow: number, at: number): Played {
  return { ...played, changes: [...played.changes, { at: (at - played.begun) / 1000, flow }] };
}

/** The instruments at a simulated well: the well is worked on from where it was left, and anew where what was done is other than that. */
export class Instruments {
  private well: SimulatedWell;
  private done = 0;

  constructor(private played: Played) {
    this.well = this.anew(0);
  }

  private anew(time: number): SimulatedWell {
    const { well, shape, gear, seed, changes } = this.played;
    this.done = changes.filter(({ at }) => at <= time).length;
    return wellAfter({ character: wells[well], shape, gear, seed }, changes, time);
  }

  /** As it is at a moment (ms). */
  at(now: number, played = this.played): SimulatedWell {
    const time = Math.floor(Math.max(0, now - played.begun) / 1000);
    const isOther = played.begun !== this.played.begun || played.well !== this.played.well || played.changes.length < this.done;
    this.played = played;
    if (isOther || time < this.well.time) this.well = this.anew(time);
    for (const change of played.changes.slice(this.done)) {
      if (change.at > time) break;
      this.well.advanceTo(change.at);
      this.well.setFlow(change.flow);
      this.done += 1;
    }
    this.well.advanceTo(time);
    return this.well;
  }
}

/** Whether a tape sounds with its tip at a depth in m: at the water, give or take a millimetre. */
export function sounds(well: SimulatedWell, depth: number, seed: number): boolean {
  return depth >= well.level + 0.0008 * normal(seed, Math.round(depth * 1000));
}

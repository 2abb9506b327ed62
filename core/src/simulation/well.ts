import { probeParameters, type ProbeParameter } from '../purge/index.ts';
import type { Typed } from '../units/index.ts';
import { parameter } from '../parameters/index.ts';
import { Drawdown } from './drawdown.ts';
import { normal } from './noise.ts';
import { ProbeBody, Tank, Tube } from './water.ts';
import type { Water, WellCharacter } from './tables/wells.ts';

/** How a simulated well is built, depths in m below the mark. */
export interface WellShape {
  insideDiameter: number;
  bottom: number;
  screenTop: number;
  screenBottom: number;
  /** The level at rest. */
  rest: number;
}

/** What hangs in it and stands beside it. */
export interface WellGear {
  /** Depth of the intake in m below the mark. */
  intake: number;
  /** Tubing from the intake to the cell, and the cell: in m³. */
  tubing: number;
  cell: number;
}

/** What was done to the pump: a flow in m³/s from a moment on, in s since the beginning. */
export interface FlowChange {
  at: number;
  flow: number;
}

/** What a probe's display shows: spread of its readings (standard deviation), and digits, in the parameter's own unit. Common practice. */
const display: Record<ProbeParameter, { noise: number; decimals: number }> = {
  temperature: { noise: 0.02, decimals: 1 },
  ph: { noise: 0.006, decimals: 2 },
  conductivity: { noise: 0.6, decimals: 0 },
  oxygen: { noise: 0.015, decimals: 2 },
  turbidity: { noise: 0.06, decimals: 1 },
  redox: { noise: 0.8, decimals: 0 },
};
const outside: Water = { temperature: 21, ph: 7.6, conductivity: 480, oxygen: 8.6, turbidity: 0.5, redox: 210 };
/** The length of screen, in m, that mixes with what comes in. */
const drawnFrom = 2;
/** Pumped volume, in m³, over which another water takes the place of the first. */
const drawnIn = 0.1;
/** Heat that a metre of tubing takes from the air, in W/(m·K), and what a m³ of water holds, in J/K. Common practice. */
const [warmth, heat] = [0.12, 4.19e6];

/**
 * A well with water in it that is not that of the aquifer: its level by {@link Drawdown}; its casing, screen, tubing, flow cell and probe
 * as volumes through which the water goes; turbidity by how fast it comes through the screen. It goes on in steps of one second, and the
 * same things done to it give the same readings.
 */
export class SimulatedWell {
  /** s since the beginning. */
  time = 0;
  /** m³. */
  pumped = 0;
  /** m³/s that comes. */
  flow = 0;
  isDry = false;
  private set = 0;
  private readonly drawdown: Drawdown;
  private readonly screen: Tank[];
  private readonly casing: Tank;
  private readonly rising: Tank[];
  private readonly tubing: Tube;
  private readonly cell: Tank;
  private readonly probe: ProbeBody;
  private readonly screenArea: number;
  private readonly casingArea: number;

  constructor(
    private readonly character: WellCharacter,
    private readonly shape: WellShape,
    private readonly gear: WellGear,
    private readonly seed: number,
  ) {
    const { insideDiameter: d, screenTop, screenBottom, rest } = shape;
    const radius = d / 2;
    this.casingArea = Math.PI * radius ** 2;
    const { transmissivity, storage, stagnant, silt } = character;
    this.drawdown = new Drawdown({ transmissivity, storage, casingRadius: radius, screenRadius: radius * 1.6 });
    const open = screenBottom - Math.max(screenTop, rest);
    this.screenArea = Math.PI * d * open;
    // What flows through the ground flows through the screen as well: hardly a third of what stands there is old.
    const stirred = { ...stagnant, turbidity: stagnant.turbidity + silt.first };
    for (const id of probeParameters) if (id !== 'turbidity') stirred[id] = character.near[id] + (stagnant[id] - character.near[id]) * 0.3;
    // Slowly drawn water comes from about the intake, not from the whole length of the screen.
    this.screen = [0, 1].map(() => new Tank((this.casingArea * Math.min(open, drawnFrom)) / 2, stirred));
    this.casing = new Tank(this.casingArea * Math.max(0.05, screenTop - rest), stagnant);
    // An intake above the screen draws what rises through the casing below it.
    const below = Math.max(0, screenTop - Math.max(gear.intake, rest));
    this.rising = below > 0.05 ? Array.from({ length: 4 }, () => new Tank((this.casingArea * below) / 4, stagnant)) : [];
    this.tubing = new Tube(gear.tubing, outside);
    this.cell = new Tank(gear.cell, outside);
    this.probe = new ProbeBody(outside);
  }

  /** m below the mark. */
  get level(): number {
    return this.shape.rest + this.drawdown.value;
  }

  /** The pump is set to a flow in m³/s. */
  setFlow(flow: number): void {
    this.set = Math.max(0, flow);
  }

  get knob(): number {
    return this.set;
  }

  /** Goes on to a moment, in s since the beginning. */
  advanceTo(time: number): void {
    while (this.time + 1 <= time) this.second();
  }

  private second(): void {
    const { rest } = this.shape;
    const before = this.drawdown.value;
    const most = Math.max(0, this.gear.intake - rest);
    this.flow = this.drawdown.advance(1, this.set, most);
    this.isDry = this.set > 0 && this.flow < this.set * 0.98;
    this.time += 1;
    if (this.flow > 0) this.draw(this.flow, (this.drawdown.value - before) * this.casingArea);
    this.pumped += this.flow;
    this.probe.sit(1, this.cell.water);
  }

  /** So much is drawn in a second; `drained` of it comes down the casing as the level falls. */
  private draw(volume: number, drained: number): void {
    const fromCasing = Math.max(0, Math.min(volume, drained));
    const mixed = this.aquifer();
    const share = fromCasing / volume;
    for (const id of probeParameters) mixed[id] += (this.casing.water[id] - mixed[id]) * share;
    let water: Water = mixed;
    for (const tank of [...this.screen, ...this.rising]) water = tank.flow(volume, water);
    water = this.tubing.flow(volume, water);
    this.cell.flow(volume, this.warmed(water, volume));
  }

  /** What comes through the screen now. */
  private aquifer(): Water {
    const { aquifer, near, rinse, drift, silt } = this.character;
    const left = Math.exp(-this.pumped / rinse);
    // The other water comes more and more, and then it is all of it.
    const other = drawnIn * (1 - Math.exp(-this.pumped / drawnIn));
    const water = {} as Water;
    for (const id of probeParameters) water[id] = aquifer[id] + (near[id] - aquifer[id]) * left + (drift[id] ?? 0) * other;
    const speed = Math.max(0, this.drawdown.inflow) / this.screenArea;
    water.turbidity += Math.max(0, speed - silt.calm) * silt.stirred + silt.first * Math.exp(-this.pumped / (rinse / 2));
    water.oxygen = Math.max(0, water.oxygen);
    return water;
  }

  /** In thin tubing slow water comes near the air's temperature. */
  private warmed(water: Water, flow: number): Water {
    const share = 1 - Math.exp((-warmth * this.gear.intake) / (heat * flow));
    return { ...water, temperature: water.temperature + (outside.temperature - water.temperature) * share };
  }

  /** What the probe's display shows. */
  reading(): Record<ProbeParameter, Typed> {
    const shown = probeParameters.map((id, place) => {
      const { noise, decimals } = display[id];
      const spread = id === 'turbidity' ? noise + this.probe.seen[id] * 0.012 : noise;
      const value = this.probe.seen[id] + spread * normal(this.seed, this.time * 8 + place);
      const floor = id === 'redox' || id === 'temperature' ? value : Math.max(0, value);
      return [id, { text: floor.toFixed(decimals), unit: parameter(id).unit }] as const;
    });
    return Object.fromEntries(shown) as Record<ProbeParameter, Typed>;
  }
}

/** A well to which all of this was done, as it is at a moment (s since the beginning). */
export function wellAfter(
  { character, shape, gear, seed }: { character: WellCharacter; shape: WellShape; gear: WellGear; seed: number },
  changes: readonly FlowChange[],
  time: number,
): SimulatedWell {
  const well = new SimulatedWell(character, shape, gear, seed);
  for (const { at, flow } of changes) {
    well.advanceTo(Math.min(at, time));
    if (at <= time) well.setFlow(flow);
  }
  well.advanceTo(time);
  return well;
}

/** An aquifer and the well in it, as far as water moves: all in m and s. */
export interface Hydraulics {
  /** Transmissivity in m²/s. */
  transmissivity: number;
  /** Storage coefficient, a number. */
  storage: number;
  /** Radius of the casing, whose water is the first to come. */
  casingRadius: number;
  /** Radius at the screen or bore, where the aquifer begins. */
  screenRadius: number;
}

const nodes = 48;
/** So far out, in m, nothing of the pumping is noticed in the hours that a purge takes. */
const faraway = 2000;

/**
 * Drawdown in a well with water in its casing, in a confined aquifer of great extent: the problem of Papadopulos and Cooper (Water
 * Resources Research 3, 1967), in rings about the well whose radii grow by one factor, solved implicitly in time. It takes any course of
 * the flow, recovery included; after long pumping it is that of Theis (1935).
 */
export class Drawdown {
  /** Drawdown at each ring in m; the first is the well. */
  private readonly s = new Float64Array(nodes);
  private readonly conductance: number;
  private readonly store = new Float64Array(nodes);
  // Room to work in, kept from step to step.
  private readonly saved = new Float64Array(nodes);
  private readonly upper = new Float64Array(nodes);
  private readonly right = new Float64Array(nodes);

  constructor({ transmissivity, storage, casingRadius, screenRadius }: Hydraulics) {
    const step = Math.log(faraway / screenRadius) / (nodes - 1);
    this.conductance = (2 * Math.PI * transmissivity) / step;
    const half = Math.exp(step / 2);
    for (let i = 0; i < nodes; i++) {
      const r = screenRadius * Math.exp(i * step);
      const inner = i === 0 ? screenRadius : r / half;
      this.store[i] = storage * Math.PI * ((r * half) ** 2 - inner ** 2);
    }
    this.store[0]! += Math.PI * casingRadius ** 2;
  }

  /** In the well, in m; positive downward. */
  get value(): number {
    return this.s[0]!;
  }

  /** What the aquifer gives the well at this moment, in m³/s. */
  get inflow(): number {
    return this.conductance * (this.s[0]! - this.s[1]!);
  }

  /**
   * Goes on by `seconds` with a flow in m³/s, and never lower than `most` m: where the well gives less than is asked for, less comes.
   * @returns what came, in m³/s
   */
  advance(seconds: number, flow: number, most = Infinity): number {
    const before = this.s[0]!;
    this.saved.set(this.s);
    this.solve(seconds, flow);
    if (this.s[0]! <= most) return flow;
    // The level stands at the intake: the flow is what keeps it there.
    this.s.set(this.saved);
    this.solve(seconds, 0, most);
    const stored = (this.store[0]! * (this.s[0]! - before)) / seconds;
    return Math.max(0, Math.min(flow, this.inflow + stored));
  }

  /** One implicit step; `held` fixes the level in the well instead of the flow. */
  private solve(seconds: number, flow: number, held?: number): void {
    const c = this.conductance;
    const { upper, right } = this;
    for (let i = 0; i < nodes; i++) {
      const kept = this.store[i]! / seconds;
      const [left, next] = [i === 0 ? 0 : c, i === nodes - 1 ? 0 : c];
      let [diagonal, value] = [kept + left + next, kept * this.s[i]! + (i === 0 ? flow : 0)];
      let above = -next;
      if (i === 0 && held !== undefined) [diagonal, value, above] = [1, held, 0];
      // Thomas: what stands below the diagonal is eliminated on the way out.
      if (i > 0) {
        diagonal += left * upper[i - 1]!;
        value += left * right[i - 1]!;
      }
      upper[i] = above / diagonal;
      right[i] = value / diagonal;
    }
    this.s[nodes - 1] = right[nodes - 1]!;
    for (let i = nodes - 2; i >= 0; i--) this.s[i] = right[i]! - upper[i]! * this.s[i + 1]!;
  }
}

import { probeParameters, type ProbeParameter } from '../purge/index.ts';
import type { Water } from './tables/wells.ts';

const mix = (into: Water, from: Water, share: number) => {
  for (const id of probeParameters) into[id] += (from[id] - into[id]) * share;
};

/** Water that is mixed at once with what flows in. Volumes in m³. */
export class Tank {
  readonly water: Water;
  constructor(
    readonly volume: number,
    water: Water,
  ) {
    this.water = { ...water };
  }

  /** So much flows in and as much out; what leaves is the water as it is then. */
  flow(volume: number, from: Water): Water {
    if (this.volume > 0) mix(this.water, from, 1 - Math.exp(-volume / this.volume));
    else Object.assign(this.water, from);
    return this.water;
  }
}

/** A tube that the water goes through without mixing, in so many slugs. */
export class Tube {
  private readonly slugs: Water[];
  private waiting = 0;
  private at = 0;
  constructor(
    readonly volume: number,
    water: Water,
    count = 24,
  ) {
    this.slugs = Array.from({ length: count }, () => ({ ...water }));
  }

  /** So much goes in at one end; what stands at the other. */
  flow(volume: number, from: Water): Water {
    const each = this.volume / this.slugs.length;
    this.waiting += volume;
    while (each > 0 && this.waiting >= each) {
      this.waiting -= each;
      Object.assign(this.slugs[this.at]!, from);
      this.at = (this.at + 1) % this.slugs.length;
    }
    return each > 0 ? this.slugs[this.at]! : from;
  }
}

/** The readings of a probe follow the water with a lag of their own. Times in s to 63 % of a step: common practice of such probes. */
const lags: Record<ProbeParameter, number> = { temperature: 10, ph: 15, conductivity: 4, oxygen: 40, turbidity: 6, redox: 60 };

export class ProbeBody {
  readonly seen: Water;
  constructor(water: Water) {
    this.seen = { ...water };
  }

  sit(seconds: number, water: Water): void {
    for (const id of probeParameters) this.seen[id] += (water[id] - this.seen[id]) * (1 - Math.exp(-seconds / lags[id]));
  }
}

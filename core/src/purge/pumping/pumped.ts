/** What is known of the pump and of how much it brought out, step by step. All in m³, m³/s and ms. */
export interface Pumping {
  /** Since when it runs; null while it stands, or where nobody said. */
  since: number | null;
  /** Somebody stopped it: what is out by then stays so. */
  isOff: boolean;
  /** The flow that was timed last; null before. */
  flow: number | null;
  /** The total as it was at `asOf`, by marks where there are any and by flow and time between them. */
  total: number;
  asOf: number;
}

export const notPumping: Pumping = { since: null, isOff: false, flow: null, total: 0, asOf: 0 };

/** The total at a moment by flow × time; null where nothing says how fast the water came since the last mark. */
export function pumpedAt({ since, isOff, flow, total, asOf }: Pumping, at: number): number | null {
  if (since === null) return isOff ? total : null;
  return flow === null ? null : total + (flow * Math.max(0, at - asOf)) / 1000;
}

/** When a total is reached by flow × time (ms), at the earliest now; null where the pump stands or nobody timed its flow. */
export function reachedAt({ since, flow, total, asOf }: Pumping, wanted: number): number | null {
  if (wanted <= total) return asOf;
  return since === null || flow === null ? null : asOf + (1000 * (wanted - total)) / flow;
}

/** The pump goes on or stands. */
export function switched(pumping: Pumping, at: number, runs: boolean): Pumping {
  if (runs === (pumping.since !== null)) return pumping;
  const total = pumpedAt(pumping, at) ?? pumping.total;
  return { ...pumping, since: runs ? at : null, isOff: !runs, total, asOf: at };
}

/** A flow was timed: it holds from now on, and back to the start where none was timed before. */
export function timed(pumping: Pumping, at: number, flow: number): Pumping {
  const before = pumpedAt(pumping.flow === null ? { ...pumping, flow } : pumping, at);
  return { ...pumping, flow, ...(before === null ? {} : { total: before, asOf: at }) };
}

/** A total was read off a bucket or a meter: it is taken for true from there on. */
export function marked(pumping: Pumping, at: number, total: number): Pumping {
  return { ...pumping, total, asOf: at };
}

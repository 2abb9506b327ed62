import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

/** A figure as it stood when it was last kept, and how long the yardstick took then (ms). */
export interface Kept {
  value: number;
  unit: string;
  yard: number;
}

/** By its name. Beside the scripts and in git: what the product did when it was last measured as a whole. */
export const keptFile = 'scripts/bench/kept.json';

export const readKept = (): Record<string, Kept> =>
  existsSync(keptFile) ? (JSON.parse(readFileSync(keptFile, 'utf8')) as Record<string, Kept>) : {};

export function writeKept(kept: Readonly<Record<string, Kept>>): void {
  const ordered = Object.fromEntries(Object.entries(kept).sort(([a], [b]) => (a < b ? -1 : 1)));
  writeFileSync(keptFile, `${JSON.stringify(ordered, null, 2)}\n`);
}

/** By so much a figure may grow before it has slipped. */
export const mostGrowth = 1.25;
/** Below so much of its unit a difference says nothing. */
const noise: Readonly<Record<string, number>> = { ms: 2, s: 0.05, '×': 0.3, kB: 2, MB: 3 };

const isTime = (unit: string) => unit === 'ms' || unit === 's';

/** What a figure of before would be on the machine as it is now: times go by the yardstick. */
export const asNow = (kept: Kept, yard: number): number => (isTime(kept.unit) ? (kept.value * yard) / kept.yard : kept.value);

/** Whether a figure has grown by more than a quarter since it was kept. */
export function hasSlipped(value: number, kept: Kept, yard: number): boolean {
  const before = asNow(kept, yard);
  return value > before * mostGrowth && value - before > (noise[kept.unit] ?? 0);
}

/** In so many runs in a row a figure has to have slipped. */
export const runsToSlip = 3;

/** The figures of a later run, slipped where they were in the run before as well. */
export const slippedInBoth = <F extends { name: string; slipped: boolean }>(before: readonly F[], after: readonly F[]): F[] =>
  after.map((one) => ({ ...one, slipped: one.slipped && before.some(({ name, slipped }) => name === one.name && slipped) }));

/** How long this machine takes now for what always takes the same: the median of nine rounds of hashing, sorting and parsing, in ms. */
export function yardstick(): number {
  const text = JSON.stringify(Array.from({ length: 2000 }, (_, index) => ({ index, says: `entry ${(index * 7919) % 2003}` })));
  const once = () => {
    const from = performance.now();
    let hash = '';
    for (let time = 0; time < 6; time += 1) {
      const list = JSON.parse(text) as { index: number; says: string }[];
      list.sort((a, b) => (a.says < b.says ? -1 : 1));
      hash = createHash('sha256').update(hash).update(JSON.stringify(list)).digest('hex');
    }
    return performance.now() - from;
  };
  const times = Array.from({ length: 9 }, once).sort((a, b) => a - b);
  return times[4]!;
}

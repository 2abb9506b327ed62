import { asNow, hasSlipped, readKept, yardstick } from './kept.ts';

/** A figure of the bench: what was measured, the most it should be, and what it was when it was last kept. */
export interface Figure {
  name: string;
  value: number;
  unit: string;
  aim: number | null;
  ok: boolean | null;
  /** As it would be on the machine as it is now; null for a figure that is new. */
  kept: number | null;
  slipped: boolean;
  /** How long the yardstick took beside it, in ms. */
  yard: number;
}

export const figures: Figure[] = [];
const known = readKept();
let isQuiet = false;
let yard = yardstick();

/** Measures the machine once more: before each part, as it may be slower by then. */
export function measureMachine(): void {
  yard = yardstick();
}

/** With `--json` nothing but the array of figures is printed. */
export function beQuiet(): void {
  isQuiet = true;
}

/** Writes a figure down and says it. @param aim the most that the value should be */
export function record(name: string, value: number, unit: string, aim: number | null = null): void {
  if (figures.some((one) => one.name === name)) throw new Error(`Two figures are called “${name}”.`);
  const ok = aim === null ? null : value <= aim;
  const before = known[name];
  const kept = before ? asNow(before, yard) : null;
  const slipped = before !== undefined && hasSlipped(value, before, yard);
  figures.push({ name, value: Number(value.toPrecision(4)), unit, aim, ok, kept, slipped, yard });
  if (isQuiet) return;
  const show = (number: number) => (number >= 100 ? number.toFixed(0) : number.toFixed(number < 10 ? 2 : 1));
  const told = [
    kept === null ? 'new' : `was ${show(kept)}`,
    ...(aim === null ? [] : [`aim ≤ ${aim}`]),
    ...(ok === false ? ['NOT MET'] : []),
    ...(slipped ? ['SLIPPED'] : []),
  ];
  console.log(`${name.padEnd(88)} ${`${show(value)} ${unit}`.padStart(14)}  ${told.join(', ')}`);
}

export function quantile(values: readonly number[], share: number): number {
  return [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))]!;
}
export const median = (values: readonly number[]): number => quantile(values, 0.5);

/** How long something takes, in ms. */
export async function timed(work: () => unknown): Promise<number> {
  const from = performance.now();
  await work();
  return performance.now() - from;
}

/** Times two things in turn, A B A B …, so that a machine that slows down slows both. */
export async function inTurn(
  times: number,
  a: (time: number) => unknown,
  b: (time: number) => unknown,
): Promise<{ a: number[]; b: number[] }> {
  const found: { a: number[]; b: number[] } = { a: [], b: [] };
  for (let time = 0; time < times; time += 1) {
    found.a.push(await timed(() => a(time)));
    found.b.push(await timed(() => b(time)));
  }
  return found;
}

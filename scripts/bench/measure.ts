/** A figure of the bench: what was measured, and the most it should be. */
export interface Figure {
  name: string;
  value: number;
  unit: string;
  aim: number | null;
  ok: boolean | null;
}

export const figures: Figure[] = [];
let isQuiet = false;

/** With `--json` nothing but the array of figures is printed. */
export function beQuiet(): void {
  isQuiet = true;
}

/** Writes a figure down and says it. @param aim the most that the value should be */
export function record(name: string, value: number, unit: string, aim: number | null = null): void {
  const ok = aim === null ? null : value <= aim;
  figures.push({ name, value: Number(value.toPrecision(4)), unit, aim, ok });
  if (isQuiet) return;
  const shown = value >= 100 ? value.toFixed(0) : value.toFixed(value < 10 ? 2 : 1);
  console.log(
    `${name.padEnd(88)} ${`${shown} ${unit}`.padStart(14)}  ${aim === null ? '' : `aim ≤ ${aim} ${unit}`}${ok === false ? '  NOT MET' : ''}`,
  );
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

import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

/*
 * What a docstring shows is run: `@example expression // result`. In scope is what the rooms export, and what stands in the same file. A
 * number agrees as far as its digits go.
 */
const here = fileURLToPath(new URL('.', import.meta.url));
type Exports = Record<string, unknown>;
const load = (file: string) => import(/* @vite-ignore */ here + file) as Promise<Exports>;
const rooms = await Promise.all(
  readdirSync(here, { withFileTypes: true })
    .filter((one) => one.isDirectory())
    .map(({ name }) => load(`${name}/index.ts`)),
);

interface Example {
  file: string;
  says: string;
  due: string;
}
const examples = readdirSync(here, { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.ts$/.test(name) && !/\.(test|d)\.ts$/.test(name))
  .sort()
  .flatMap((name): Example[] =>
    [...readFileSync(here + name, 'utf8').matchAll(/@example (.+?) \/\/ (.+?)(?: \*\/)?$/gm)].map(([, says, due]) => ({
      file: name,
      says: says!,
      due: due!,
    })),
  );

const evaluated = (text: string, scope: Exports): unknown =>
  (new Function(...Object.keys(scope), `return (${text});`) as (...values: unknown[]) => unknown)(...Object.values(scope));

/** Half of the last digit that is shown. */
const precision = (shown: string) => 0.5 * 10 ** -(/\.(\d+)/.exec(shown)?.[1]?.length ?? 0);

describe('the example of a docstring', () => {
  it.each(examples.map((one) => [`${one.file}: ${one.says}`, one] as const))('%s', async (_, { file, says, due }) => {
    const all = Object.assign({}, ...rooms, await load(file)) as Exports;
    const scope = Object.fromEntries(Object.entries(all).filter(([name]) => /^[A-Za-z_]\w*$/.test(name) && name !== 'default'));
    const found = evaluated(says, scope);
    if (/^-?[\d.]+$/.test(due))
      expect(Math.abs((found as number) - Number(due)), `${String(found)}, not ${due}`).toBeLessThanOrEqual(precision(due));
    else expect(found).toEqual(evaluated(due, scope));
  });

  it('stands at the doors that matter', () => {
    expect(examples.length).toBeGreaterThanOrEqual(40);
  });
});

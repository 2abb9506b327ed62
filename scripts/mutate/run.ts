import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { createVitest, type TestSpecification } from 'vitest/node';
import { allMutants, nameOf, type Mutant } from './mutants.ts';
import { isAside, survivors } from './survivors.ts';

/*
 * Changes numbers of the core one after the other and runs the tests that are closest: what no test minds is held by nothing.
 *
 *   npm run mutate                 all of them
 *   npm run mutate -- sample       twenty, others whenever a file that holds one changes: part of `npm test`, which runs the tests as they are
 *   npm run mutate -- 60 7         sixty, drawn by the seed 7
 *   npm run mutate -- all 1 purge  those of files with a word in their path
 *
 * What compares a table with itself as it was released holds any number, right or wrong: it is left out. So is what draws at random and
 * takes long: none of it knows a number of the trade. Fails where more than three in a hundred are alive without a reason.
 */
const [asked = 'all', seed = '1', only = ''] = process.argv.slice(2);
const isSample = asked === 'sample';
const count = isSample ? '20' : asked;
const leftOut = /(round\/(editions|nonsense)|simulation\/(estimate|well)|day\/solve\/solver)\.test\.ts$/;

/** A generator with a known course (mulberry32). */
function drawn(state: number): () => number {
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const all = allMutants().filter((one) => isAside(one) === null && one.file.includes(only));
const texts = () => [...new Set(all.map(({ file }) => file))].map((file) => readFileSync(file)).join('');
const draw = drawn(isSample ? createHash('sha256').update(texts()).digest().readUInt32LE() : Number(seed));
const chosen =
  count === 'all'
    ? all
    : all
        .map((one) => ({ one, at: draw() }))
        .sort((a, b) => a.at - b.at)
        .slice(0, Number(count))
        .map(({ one }) => one);

let now: Mutant | null = null;
const vitest = await createVitest(
  'test',
  // Without the house's projects, into which no plugin reaches from here.
  {
    config: false,
    watch: true,
    include: ['core/src/**/*.test.ts'],
    isolate: false,
    pool: 'threads',
    maxWorkers: 1,
    testTimeout: 30_000,
    bail: 1,
    reporters: [{}],
    silent: true,
  },
  {
    plugins: [
      {
        name: 'one-number-changed',
        enforce: 'pre',
        transform: (text: string, id: string) =>
          now && id.split('?')[0] === resolve(now.file) ? text.slice(0, now.start) + String(now.to) + text.slice(now.end) : undefined,
      },
    ],
  },
);
const specs = (await vitest.globTestSpecifications()).filter(({ moduleId }) => !leftOut.test(moduleId));
const room = (file: string) => /core\/src\/([^/]+)\//.exec(file)?.[1];

/** What failed in the last run. */
const said = (): string =>
  vitest.state
    .getTestModules()
    .filter((one) => !one.ok())
    .map(
      (one) =>
        `${one.moduleId}: ${JSON.stringify(one.errors())} ${[...one.children.allTests('failed')].map((test) => `${test.fullName}: ${test.result().errors?.[0]?.message}`).join('; ')}`,
    )
    .join('\n');

/** Whether all tests of a list pass. */
async function pass(list: TestSpecification[]): Promise<boolean> {
  if (list.length === 0) return true;
  const { testModules, unhandledErrors } = await vitest.rerunTestSpecifications(list);
  return unhandledErrors.length === 0 && testModules.every((one) => one.ok());
}

console.log(`${all.length} numbers, ${chosen.length} of them changed; ${specs.length} files of tests`);
if (!isSample && !(await pass(specs))) throw new Error(`The tests fail as it is: ${said()}`);
const alive: Mutant[] = [];
const begun = performance.now();
for (const [index, mutant] of chosen.entries()) {
  now = mutant;
  vitest.invalidateFile(resolve(mutant.file));
  const near = specs.filter(({ moduleId }) => room(moduleId) === room(mutant.file));
  const isAlive = (await pass(near)) && (await pass(specs.filter((one) => !near.includes(one))));
  if (isAlive) {
    alive.push(mutant);
    console.log(`alive  ${mutant.file}:${mutant.line}  ${mutant.from} → ${mutant.to}  ${mutant.says}`);
  }
  now = null;
  vitest.invalidateFile(resolve(mutant.file));
  if (index % 20 === 19)
    console.log(`${index + 1} of ${chosen.length}, ${alive.length} alive, ${Math.round((performance.now() - begun) / 1000)} s`);
}
const unknown = alive.filter((one) => !(nameOf(one) in survivors));
const killed = chosen.length - alive.length;
console.log(
  `${killed} of ${chosen.length} killed (${((100 * killed) / chosen.length).toFixed(1)} %); ${unknown.length} alive without a reason`,
);
const mayLive = Math.ceil(0.03 * chosen.length);
if (process.env['FONTE_MUTANTS']) writeFileSync(process.env['FONTE_MUTANTS'], JSON.stringify(alive.map(nameOf), null, 1));
await vitest.close();
process.exit(unknown.length > mayLive ? 1 : 0);

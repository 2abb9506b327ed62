import { appends, batches, folding, sideBySide } from './books.ts';
import { planner } from './days.ts';
import { comeBack, fleet } from './fleet.ts';
import { readKept, runsToSlip, slippedInBoth, writeKept } from './kept.ts';
import { beQuiet, figures, measureMachine } from './measure.ts';
import { exchange, register, today, wholeDatabase } from './registers.ts';
import { printedReport } from './printed.ts';
import { reports } from './reports.ts';
import { deviceSync, firstPage, typing } from './page.ts';
import { purge } from './purge.ts';
import { hydrograph } from './hydrograph.ts';
import { custody } from './custody.ts';
import { judging } from './judging.ts';
import { logger } from './logger.ts';
import { memory, startUp } from './server.ts';

/*
 * npm run bench -- [--json] [--keep] [PART …]    measures what the product promises, or some parts of it, beside what it was when it
 *                                                   was last kept; fails where a figure has grown by more than a quarter since, three
 *                                                   times in a row. With --keep today's figures are kept: on a quiet machine, with a
 *                                                   change that explains them.
 */
const parts = {
  appends,
  sideBySide,
  batches,
  folding,
  today,
  fleet,
  register,
  exchange,
  reports,
  printedReport,
  judging,
  wholeDatabase,
  startUp,
  memory,
  firstPage,
  typing,
  comeBack,
  deviceSync,
  planner,
  purge,
  logger,
  custody,
  hydrograph,
};
type Part = keyof typeof parts;

const words = process.argv.slice(2);
const asJson = words.includes('--json');
const chosen = words.filter((word) => !word.startsWith('--'));
const unknown = chosen.find((word) => !Object.hasOwn(parts, word));
if (unknown) {
  console.error(`There is no part “${unknown}”. Parts: ${Object.keys(parts).join(', ')}.`);
  process.exit(2);
}
if (asJson) beQuiet();
for (const part of chosen.length > 0 ? (chosen as Part[]) : (Object.keys(parts) as Part[])) {
  const from = figures.length;
  measureMachine();
  await parts[part]();
  for (let run = 1; run < runsToSlip && figures.slice(from).some(({ slipped }) => slipped); run += 1) {
    const before = figures.splice(from);
    if (!asJson) console.log(`${part} once more: a machine swings by as much`);
    measureMachine();
    await parts[part]();
    figures.splice(from, Infinity, ...slippedInBoth(before, figures.slice(from)));
  }
}
if (asJson) console.log(JSON.stringify(figures, null, 1));
if (words.includes('--keep'))
  writeKept({ ...readKept(), ...Object.fromEntries(figures.map(({ name, value, unit, yard }) => [name, { value, unit, yard }])) });
else {
  const slipped = figures.filter((one) => one.slipped);
  if (slipped.length > 0) {
    console.error(`Grown by more than a quarter since it was kept: ${slipped.map(({ name }) => name).join('; ')}.`);
    process.exitCode = 1;
  }
}

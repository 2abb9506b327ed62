import { appends, batches, folding, sideBySide } from './books.ts';
import { planner } from './days.ts';
import { comeBack, fleet } from './fleet.ts';
import { beQuiet, figures } from './measure.ts';
import { exchange, register, today, wholeDatabase } from './registers.ts';
import { reports } from './reports.ts';
import { deviceSync, firstPage } from './page.ts';
import { purge } from './purge.ts';
import { hydrograph } from './hydrograph.ts';
import { custody } from './custody.ts';
import { logger } from './logger.ts';
import { memory, startUp } from './server.ts';

/*
 * npm run bench [-- --json] [PART …]    measures what the product promises, or some parts of it
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
  wholeDatabase,
  startUp,
  memory,
  firstPage,
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
for (const part of chosen.length > 0 ? (chosen as Part[]) : (Object.keys(parts) as Part[])) await parts[part]();
if (asJson) console.log(JSON.stringify(figures, null, 1));

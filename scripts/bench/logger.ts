import { readLogger, loggerAnswer, lookThrough } from '@fonte/core/logger';
import { LoggerRecord } from '@fonte/core/registers';
import { readOutLogger } from '@fonte/core/simulation';
import { newId } from '@fonte/core/book';
import { median, record, timed } from './measure.ts';

const rows = 500_000;
const minute = 60_000;
const runs = 3;

/** What a logger's record of 500,000 rows takes, from its bytes to levels thinned for a screen. */
export async function logger(): Promise<void> {
  const to = Date.UTC(2026, 10, 1);
  const hand = [0, 0.3, 0.6, 0.9].map((part) => ({ at: to - (1 - part) * rows * minute, depth: 7 + part }));
  const text = readOutLogger({ from: to - (rows - 1) * minute, to, step: minute, hangs: 12, drift: 0.002, seed: 7 }, hand);
  const [water, air] = [Buffer.from(text.water), Buffer.from(text.air)];
  record(`a logger's file of ${rows} rows`, water.length / (1 << 20), 'MB');
  const looked: number[] = [];
  const read: number[] = [];
  const file = { date: 0, time: 1, order: 'dmy', clock: { goes: 'fixed', offset: 0 }, value: 2, decimals: 'comma' } as const;
  const said = LoggerRecord.parse({
    id: newId(to),
    name: 'bench',
    point: newId(to),
    mark: 'Rim',
    shows: 'absolute',
    water: { ...file, sha256: 'a'.repeat(64), name: 'water.csv', unit: 'kPa' },
    air: { ...file, sha256: 'b'.repeat(64), name: 'air.csv', unit: 'hPa' },
    line: 'line',
  });
  const manual = hand.map((one) => ({ ...one, round: said.id, measuringPoint: 'Rim', elevation: null, water: 'static' as const }));
  let most = 0;
  for (let run = 0; run < runs; run++) {
    looked.push(await timed(() => lookThrough(text.water)));
    read.push(
      await timed(() => {
        const found = readLogger(said, { water, air }, manual);
        if ('refusal' in found) throw new Error(found.refusal.code);
        loggerAnswer(found, 2000);
      }),
    );
    most = Math.max(most, process.memoryUsage().rss);
  }
  record("a logger's file: looking through it for columns, dates and numbers", median(looked), 'ms');
  record("a logger's file: reading it, the air taken off, held to four levels, thinned", median(read), 'ms');
  record("a logger's file: memory of the process at its most", most / (1 << 20), 'MB');
}

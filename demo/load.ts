import { handedOver, labAnswered } from '@fonte/core/custody';
import { newId, sha256Hex, writeEntry, type Entry } from '@fonte/core/book';
import type { IntakeRequest } from '@fonte/core/lab';
import { reportReceived } from '@fonte/core/read';
import { hour } from '@fonte/core/time';
import { FileTable, type Services } from '@fonte/server';
import { reportCsv } from './lab/lab.ts';
import { levelRounds, registers, schoolRound, todayRound } from './scenario.ts';

/** Loads the scenario through the same door that the app uses: every entry is judged, chained and projected. */
export async function loadDemo({ books, store }: Services, start: number): Promise<void> {
  const append = async (entries: readonly Entry[]) => {
    for (const entry of entries) await books.appendOwn(entry);
  };
  await append(registers(start));
  await append(levelRounds(start));
  const school = schoolRound(start);
  await append(school.entries);
  await reportWaiting({ books, store }, school);
  await append(todayRound(start));
}

/** The lab took the school's bottles and its report has come: nobody has read it yet. */
async function reportWaiting(
  { books, store }: Pick<Services, 'books' | 'store'>,
  { entries, book, handOver }: ReturnType<typeof schoolRound>,
): Promise<void> {
  const form = entries.find(handedOver.is)!.payload;
  const at = Date.parse(entries.at(-1)!.at.utc);
  const reference = 'PN-SCHOOL-7';
  const answer = { reference, bottles: form.bottles.map(({ bottle }) => ({ bottle, accepted: true })) };
  const pen = (now: number) => ({ book, author: 'fonte', now, offset: 0 });
  await books.appendOwn(writeEntry(pen(at + 600_000), labAnswered, { handOver, ...answer }));
  const lines = form.bottles.map(({ bottle }): IntakeRequest['bottles'][number] => ({
    bottle,
    point: 'SC1',
    pointName: 'School',
    rule: bottle.endsWith('B') ? 'Bacteria' : 'Dissolved metals',
    collectedAt: new Date(at - hour).toISOString(),
    sampleType: 'routine',
    residual: '0.41 mg/L',
    condition: 'Good',
    requests: [],
  }));
  const request: IntakeRequest = {
    handOver: newId(at),
    round: '',
    system: '',
    collector: '',
    handedOverAt: new Date(at).toISOString(),
    coolerTemperature: 4.6,
    seal: '',
    count: lines.length,
    bottles: lines,
  };
  const bytes = reportCsv({ reference, request, answer });
  await store.getRepository(FileTable).upsert({ sha256: sha256Hex(bytes), bytes }, ['sha256']);
  await books.appendOwn(
    writeEntry(pen(at + 28 * hour), reportReceived, {
      sha256: sha256Hex(bytes),
      name: `${reference}.csv`,
      size: bytes.length,
      from: 'lab',
    }),
  );
}

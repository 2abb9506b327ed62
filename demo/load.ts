import { sha256Hex, writeEntry, type Entry } from '@fonte/core/book';
import { handedOver, labAnswered } from '@fonte/core/custody';
import type { IntakeRequest } from '@fonte/core/lab';
import { reportReceived } from '@fonte/core/read';
import { hour } from '@fonte/core/time';
import { keepFile, serverPen, type Services } from '@fonte/server';
import { people } from './data/registers.ts';
import { reportCsv } from './lab/lab.ts';
import { levelRounds, registers, schoolRound, todayRound } from './scenario.ts';

/** Loads the scenario through the same door that the app uses: every entry is judged, chained and projected. */
export async function loadDemo({ books, store }: Services, start: number): Promise<void> {
  // The first person stands there already: the server registered it.
  await books.appendOwn(...registers(start).filter((entry) => entry.book !== people[0]!.id));
  await books.appendOwn(...levelRounds(start));
  const school = schoolRound(start);
  await books.appendOwn(...school.entries);
  await reportWaiting({ books, store }, school);
  await books.appendOwn(...todayRound(start));
}

/** The lab took the school's bottles and its report has come: nobody has read it yet. */
async function reportWaiting(
  { books, store }: Pick<Services, 'books' | 'store'>,
  { entries, book, handOver }: ReturnType<typeof schoolRound>,
): Promise<void> {
  const form = entries.find((entry): entry is Entry<'handed-over', { bottles: { bottle: string }[] }> => handedOver.is(entry))!.payload;
  const at = Date.parse(entries.at(-1)!.at.utc);
  const reference = 'PN-SCHOOL-7';
  const answer = { reference, bottles: form.bottles.map(({ bottle }) => ({ bottle, accepted: true })) };
  await books.appendOwn(writeEntry(serverPen(book, at + 600_000), labAnswered, { handOver, ...answer }));
  const { bottles } = await books.round(book);
  const lines = form.bottles.map(({ bottle }): IntakeRequest['bottles'][number] => ({
    bottle,
    point: 'SC1',
    pointName: 'School',
    rule: bottle.endsWith('B') ? 'bacteria' : 'metals',
    collectedAt: new Date(bottles.find(({ id }) => id === bottle)!.filledAt!).toISOString(),
    sampleType: 'routine',
    purpose: 'sample',
    residual: '0.41 mg/L',
    condition: 'good',
    requests: [],
  }));
  const view = (await books.view(book))!;
  const request: IntakeRequest = {
    handOver,
    book: { id: book, ...view.head! },
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
  await store.write((query) => keepFile(query, bytes));
  const received = { sha256: sha256Hex(bytes), name: `${reference}.csv`, size: bytes.length, from: 'lab' as const, fault: null };
  await books.appendOwn(writeEntry(serverPen(book, at + 28 * hour), reportReceived, received));
}

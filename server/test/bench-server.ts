import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeEntry } from '@fonte/core/book';
import type { IntakeAnswer, IntakeRequest } from '@fonte/core/lab';
import { labRegistered, personRegistered, pointRegistered } from '@fonte/core/registers';
import { pino } from 'pino';
import supertest from 'supertest';
import { lab, Script, tapPoint, wellPoint } from '../../core/test/script.ts';
import { createApp } from '../src/app/app.ts';
import { Books } from '../src/book/books.ts';
import type { LabDesk, LabReport } from '../src/lab/desk.ts';
import { ReportReader } from '../src/read/reader.ts';
import { openStore } from '../src/store/index.ts';

/** A lab's desk for tests: refuses what it is told to, and hands out the CSV it is given. */
export class PaperDesk implements LabDesk {
  refuse: Record<string, string> = {};
  csv: string | null = null;
  asked: IntakeRequest[] = [];

  takeIn(request: IntakeRequest): Promise<IntakeAnswer> {
    this.asked.push(request);
    return Promise.resolve({
      reference: 'L-1',
      bottles: request.bottles.map(({ bottle }) => {
        const reason = this.refuse[bottle];
        return reason ? { bottle, accepted: false, reason } : { bottle, accepted: true };
      }),
    });
  }

  report(): Promise<LabReport | null> {
    return Promise.resolve(this.csv === null ? null : { name: 'L-1.csv', bytes: new TextEncoder().encode(this.csv) });
  }
}

/** A server without a network over a fresh database, with a planned round in it. */
export async function bench() {
  const script = new Script();
  const file = join(mkdtempSync(join(tmpdir(), 'fonte-')), 'test.sqlite');
  const store = await openStore(file);
  const clock = () => script.now;
  const books = new Books(store, clock);
  const reader = new ReportReader();
  const desk = new PaperDesk();
  const services = { store, books, reader, clock, desks: new Map([['lab', desk]]), log: pino({ level: 'silent' }), author: 'tech' };
  const pen = { book: 'org', author: 'tech', now: script.now, offset: 0 };
  await books.appendOwn(writeEntry(pen, personRegistered, { id: 'tech', name: 'Inês Faria', initials: 'IF', role: '' }));
  await books.appendOwn(writeEntry(pen, labRegistered, lab));
  for (const point of [wellPoint, tapPoint]) await books.appendOwn(writeEntry(pen, pointRegistered, point));
  const api = supertest(createApp(services));
  const post = (entry: object, book = script.book) => api.post(`/api/books/${book}/entries`).send(entry);
  const entries = async () =>
    (await api.get(`/api/books/${script.book}/entries`)).body as {
      id: string;
      seq: number;
      kind: string;
      payload: Record<string, unknown>;
    }[];
  const close = async () => {
    await reader.stop();
    await store.destroy();
  };
  script.plan();
  await post(script.entries[0]!);
  return { script, store, books, desk, api, post, entries, file, close };
}

export type Bench = Awaited<ReturnType<typeof bench>>;

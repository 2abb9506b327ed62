import { canonicalJson, writeEntry } from '@fonte/core/book';
import { boxRecorded } from '@fonte/core/custody';
import { tryBoxRecord, writeBoxRecord } from '@fonte/core/logger';
import { recordedUnits, type Recording } from '@fonte/core/registers';
import { boxName, timeOfBox } from '@fonte/core/round';
import { unit } from '@fonte/core/units';
import { serverPen, type Books } from '../book/books.ts';
import { writtenBefore } from '../book/once.ts';
import { keptFile } from '../book/named.ts';
import { atOnce, route, writerOf, type Route, type Services } from '../http/index.ts';
import type { FileReader } from '../read/index.ts';
import { refuse, refused, tooMuch } from './refuse.ts';

export interface BoxServices extends Services {
  books: Books;
  reader: FileReader;
}

/** So many records are read at once. */
const readsAtOnce = 4;

/** Records of loggers that rode in a box with bottles. */
export function boxRoutes({ books, store, reader, clock }: BoxServices): Route[] {
  /** The record as the file says it. @throws Problem 422 for a file or box that cannot be, 410 for a file that is gone */
  const read = async (round: string, box: string, recording: Recording) => {
    const state = await books.round(round);
    const name = boxName(state, box);
    if (name === null) throw refuse('box', 'no-such-box', 'This round has no such box.');
    if (unit(recording.unit).dimension !== recordedUnits('cold'))
      throw refuse('recording.unit', 'logger-unit', 'That is no unit of what it records.');
    const time = timeOfBox(state, box, clock());
    if (!time) throw refuse('box', 'box-empty', 'No bottle that was filled is in this box, or was.');
    const answer = await reader.run('cold', { bytes: await keptFile(store, recording.sha256), recording, ...time });
    if (!answer) throw tooMuch('recording');
    if ('refusal' in answer) throw refused('recording', answer.refusal);
    return { box: { box, name }, ...answer };
  };
  const once = { before: [atOnce(readsAtOnce)] };

  return [
    route(
      tryBoxRecord,
      async ({ in: { round }, body: { box, recording } }) => {
        const { readings: _, ...answer } = await read(round, box.box, recording);
        return answer;
      },
      once,
    ),
    route(
      writeBoxRecord,
      async ({ in: { round }, body: { id, box, recording }, who, response }) => {
        const known = await writtenBefore(
          books,
          round,
          id,
          (entry) =>
            boxRecorded.is(entry) &&
            entry.payload.box.box === box.box &&
            canonicalJson(entry.payload.recording) === canonicalJson(recording),
        );
        if (known) return known;
        const { read: of, ...record } = await read(round, box.box, recording);
        if (record.course.length < 2)
          throw refuse('recording', 'record-elsewhere', 'None of its readings lies in the time of this box: nothing was written.');
        const entry = writeEntry(
          { ...serverPen(round, clock()), ...writerOf(who) },
          boxRecorded,
          { ...record, recording, unread: of.unread.count },
          { id },
        );
        const [written] = await books.appendOwn(entry);
        response.status(201);
        return written!;
      },
      once,
    ),
  ];
}

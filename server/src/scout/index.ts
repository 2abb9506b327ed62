import { canonicalJson, type BookEntry } from '@fonte/core/book';
import type { RegisterName } from '@fonte/core/registers';
import { inPresentVersion } from '@fonte/core/round';
import { keepPointPicture, pointPicture, pointScouted, scoutedAt, scoutedIn, scoutKinds, type Scouted } from '@fonte/core/scout';
import { EntitySchema } from 'typeorm';
import { ofThing } from '../book/derivation.ts';
import { thing } from '../book/registry.ts';
import type { ServerRoom } from '../book/room.ts';
import { Problem, route, type Route, type Services } from '../http/index.ts';
import { PictureTable, pictureUpload, sentPicture, takePicture, type PictureRow } from '../pictures/index.ts';
import { derived, integer, text, type DerivedRow } from '../store/index.ts';

interface ScoutedRow extends DerivedRow {
  at: number;
  /** JSON: what was seen. */
  data: string;
}
const ScoutedTable = new EntitySchema<ScoutedRow>({ name: 'scouted', columns: { ...derived, at: integer, data: text } });

const seenAt = (register: RegisterName, entries: readonly BookEntry[]): Scouted[] => {
  const isOf = ({ kind }: BookEntry) => scoutKinds.some((one) => one.kind === kind);
  return register === 'points' && entries.some(pointScouted.is) ? scoutedIn(entries.filter(isOf).map(inPresentVersion)) : [];
};

/** One row for each time that somebody looked. */
const scoutedRows = (book: string, register: RegisterName, entries: readonly BookEntry[]): ScoutedRow[] =>
  seenAt(register, entries).map((seen) => ({ book, id: seen.entry, at: seen.at, data: canonicalJson(seen) }));

/** What was photographed then, among the pictures of rounds. */
const pictureRows = (book: string, register: RegisterName, entries: readonly BookEntry[]): PictureRow[] =>
  seenAt(register, entries).flatMap(({ entry, at, pictures }) =>
    pictures.map(({ sha256, shows, arrow }) => ({
      book,
      id: `${entry} ${sha256.slice(0, 16)}`,
      visit: null,
      point: book,
      at,
      sha256,
      shows,
      arrow: arrow && canonicalJson(arrow),
    })),
  );

const scoutRoutes = ({ store, clock }: Services): Route[] => [
  route(scoutedAt, async ({ in: { point } }) => {
    const rows = await store.read<ScoutedRow[]>('SELECT data FROM scouted WHERE book = ? ORDER BY at DESC LIMIT 20', [point]);
    return rows.map(({ data }) => JSON.parse(data) as Scouted);
  }),
  route(
    keepPointPicture,
    async ({ in: { point }, body, who, response }) => {
      if (!(await thing(store, 'points', point))) throw new Problem(404, 'no-thing', 'There is no such point in the register.');
      response.status(201);
      return takePicture({ store, clock }, who.person, body);
    },
    pictureUpload,
  ),
  route(pointPicture, async ({ in: { point, sha256: hash } }) => {
    // Only what the point's book names and nobody struck.
    const [row] = await store.read<unknown[]>('SELECT 1 FROM pictures WHERE book = ? AND visit IS NULL AND sha256 = ?', [point, hash]);
    if (!row) throw new Problem(404, 'no-picture', 'This point has no such picture.');
    return sentPicture(store, hash);
  }),
];

export const scoutRoom: ServerRoom<Services> = {
  name: 'scout',
  derived: [ofThing(ScoutedTable, scoutedRows), ofThing(PictureTable, pictureRows)],
  routes: scoutRoutes,
};

import { canonicalJson } from '@fonte/core/book';
import { Arrow, largestPicture, keepPicture, pictureFile, pictureRecord, pictureType, type PictureType } from '@fonte/core/pictures';
import type { VisitState } from '@fonte/core/round';
import { EntitySchema } from 'typeorm';
import { ofVisit } from '../book/derivation.ts';
import type { Books } from '../book/books.ts';
import type { ServerRoom } from '../book/room.ts';
import { keptFile } from '../book/named.ts';
import { takeUpload } from '../files/files.ts';
import { derived, integer, optionalText, text, type DerivedRow, type Store } from '../store/index.ts';
import { atOnce, Problem, route, SentFile, type Route, type Services } from '../http/index.ts';

interface PictureServices extends Services {
  books: Books;
}

export interface PictureRow extends DerivedRow {
  /** Null where no round was there. */
  visit: string | null;
  point: string;
  at: number;
  sha256: string;
  shows: string;
  /** JSON. */
  arrow: string | null;
}
export const PictureTable = new EntitySchema<PictureRow>({
  name: 'pictures',
  columns: { ...derived, visit: optionalText, point: text, at: integer, sha256: text, shows: text, arrow: optionalText },
});

/** One row for each picture of a visit. */
const pictureRows = (book: string, { id: visit, point, pictures }: VisitState): PictureRow[] =>
  pictures.map(({ entry, at, sha256, shows, arrow }) => ({
    book,
    id: entry,
    visit,
    point: point.id,
    at,
    sha256,
    shows,
    arrow: arrow && canonicalJson(arrow),
  }));

/** So many pictures are taken in at once; whoever comes then is asked to come again. */
const uploadsAtOnce = 6;

const refuse = (code: string, message: string) => new Problem(422, code, message, [{ path: 'file', message }]);

const endings: Record<PictureType, string> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' };

/** What an upload of pictures waits for, and how large one may be. */
export const pictureUpload = { before: [atOnce(uploadsAtOnce)], largest: largestPicture };

/** Takes a picture that somebody sends. @throws Problem 422 where it is none, 429 where too many wait */
export async function takePicture(services: Parameters<typeof takeUpload>[0], person: Parameters<typeof takeUpload>[1], body: Uint8Array) {
  if (body.length === 0) throw refuse('picture-empty', 'The picture is empty.');
  const type = pictureType(body);
  if (!type) throw refuse('no-picture', 'This is no picture that can be kept: JPEG, PNG or WebP.');
  return { sha256: await takeUpload(services, person, body), type, size: body.length };
}

/** A kept picture as it is sent. @throws Problem 410 */
export async function sentPicture(store: Store, hash: string): Promise<SentFile> {
  const bytes = await keptFile(store, hash);
  const type = pictureType(bytes);
  if (!type) throw new Problem(410, 'no-picture', 'The kept file is not a picture.');
  return new SentFile(`${hash.slice(0, 12)}.${endings[type]}`, bytes, type);
}

const pictureRoutes = ({ books, store, clock }: PictureServices): Route[] => [
  route(
    keepPicture,
    async ({ in: { round }, body, who, response }) => {
      await books.round(round);
      response.status(201);
      return takePicture({ store, clock }, who.person, body);
    },
    pictureUpload,
  ),
  route(pictureRecord, async ({ in: { point } }) => {
    const rows = await store.read<PictureRow[]>('SELECT * FROM pictures WHERE point = ? ORDER BY at DESC LIMIT 12', [point]);
    return rows.map(({ book, visit, at, sha256, shows, arrow }) => ({
      round: visit === null ? null : book,
      visit,
      at: Number(at),
      sha256,
      shows,
      arrow: arrow === null ? null : Arrow.parse(JSON.parse(arrow)),
    }));
  }),
  route(pictureFile, async ({ in: { round, sha256: hash } }) => {
    // Only what the book names: nothing else that is kept can be had here, and nothing under another type.
    const picture = (await books.round(round)).visits.flatMap((visit) => visit.pictures).find((one) => one.sha256 === hash);
    if (!picture) throw new Problem(404, 'no-picture', 'This round has no such picture.');
    return sentPicture(store, hash);
  }),
];

export const picturesRoom: ServerRoom<PictureServices> = {
  name: 'pictures',
  derived: [ofVisit(PictureTable, pictureRows)],
  routes: pictureRoutes,
};

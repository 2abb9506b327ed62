import { misfit, type Room } from '../book/index.ts';
import { millis } from '../time/index.ts';
import { arrowDrawn, pictureTaken, remarkMade, type Arrow, type PictureType } from './entries.ts';

/** A picture of a visit, with the moment (ms) at which it was taken. */
export interface Picture {
  entry: string;
  at: number;
  sha256: string;
  type: PictureType;
  size: number;
  shows: string;
  arrow: Arrow | null;
}

/** What somebody wrote down beside the steps, and when (ms). */
export interface Remark {
  entry: string;
  at: number;
  text: string;
  about: string;
}

/** The pictures of a visit and the remarks made there, oldest first. */
export interface PicturesBook {
  taken: readonly Picture[];
  remarks: readonly Remark[];
}

export const picturesRoom: Room<PicturesBook, object> = {
  kinds: [pictureTaken, arrowDrawn, remarkMade],
  empty: { taken: [], remarks: [] },
  fits: ({ taken }, entry) => {
    if (arrowDrawn.is(entry))
      return taken.some((picture) => picture.entry === entry.payload.picture) ? null : misfit('no-such-picture', 'payload.picture');
    return pictureTaken.is(entry) && taken.some(({ sha256 }) => sha256 === entry.payload.sha256)
      ? misfit('picture-twice', 'payload.sha256')
      : null;
  },
  advance: (book, entry) => {
    const at = millis(entry.at);
    if (remarkMade.is(entry)) return { ...book, remarks: [...book.remarks, { entry: entry.id, at, ...entry.payload }] };
    if (pictureTaken.is(entry)) return { ...book, taken: [...book.taken, { entry: entry.id, at, ...entry.payload, arrow: null }] };
    if (!arrowDrawn.is(entry)) return book;
    const { picture, arrow } = entry.payload;
    return { ...book, taken: book.taken.map((one) => (one.entry === picture ? { ...one, arrow } : one)) };
  },
};

import { misfit, type Room } from '../book/index.ts';
import { millis } from '../time/index.ts';
import { pictureTaken, type PictureType } from './entries.ts';

/** A picture of a visit, with the moment (ms) at which it was taken. */
export interface Picture {
  entry: string;
  at: number;
  sha256: string;
  type: PictureType;
  size: number;
  shows: string;
}

/** The pictures of a visit, oldest first. */
export type PicturesBook = readonly Picture[];

export const picturesRoom: Room<PicturesBook, object> = {
  kinds: [pictureTaken],
  empty: [],
  fits: (pictures, entry) =>
    pictureTaken.is(entry) && pictures.some(({ sha256 }) => sha256 === entry.payload.sha256)
      ? misfit('picture-twice', 'payload.sha256')
      : null,
  advance: (pictures, entry) =>
    pictureTaken.is(entry) ? [...pictures, { entry: entry.id, at: millis(entry.at), ...entry.payload }] : pictures,
};

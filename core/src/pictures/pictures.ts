import { misfit, type Room } from '../book/index.ts';
import { millis } from '../time/index.ts';
import { arrowDrawn, pictureTaken, type Arrow, type PictureType } from './entries.ts';

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

/** The pictures of a visit, oldest first. */
export type PicturesBook = readonly Picture[];

export const picturesRoom: Room<PicturesBook, object> = {
  kinds: [pictureTaken, arrowDrawn],
  empty: [],
  fits: (pictures, entry) => {
    if (arrowDrawn.is(entry))
      return pictures.some((picture) => picture.entry === entry.payload.picture) ? null : misfit('no-such-picture', 'payload.picture');
    return pictureTaken.is(entry) && pictures.some(({ sha256 }) => sha256 === entry.payload.sha256)
      ? misfit('picture-twice', 'payload.sha256')
      : null;
  },
  advance: (pictures, entry) => {
    if (pictureTaken.is(entry)) return [...pictures, { entry: entry.id, at: millis(entry.at), ...entry.payload, arrow: null }];
    if (!arrowDrawn.is(entry)) return pictures;
    const { picture, arrow } = entry.payload;
    return pictures.map((one) => (one.entry === picture ? { ...one, arrow } : one));
  },
};

import type { Words } from '../findings/index.ts';
import { inBook, type Says } from '../book/index.ts';
import { arrowDrawn, pictureTaken, remarkMade } from './entries.ts';

export const pictureWords: Words = {
  'picture-twice': 'This picture stands in the book already.',
  'no-such-picture': 'This visit has no such picture.',
};

export const pictureSays: readonly Says[] = [
  inBook(
    pictureTaken,
    ({ shows, sha256, size }) => `${shows || 'Of what, is not said'}. ${Math.ceil(size / 1024)} kB, ${sha256.slice(0, 16)}….`,
  ),
  inBook(remarkMade, ({ text, about }) => (about ? `${text} At “${about}”.` : text)),
  inBook(
    arrowDrawn,
    ({ arrow: { tip } }) => `At ${Math.round(tip.x * 100)} % of its width and ${Math.round(tip.y * 100)} % of its height.`,
  ),
];

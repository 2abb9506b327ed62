import type { Words } from '../findings/index.ts';
import { inBook, type Says } from '../book/index.ts';
import { pictureTaken } from './entries.ts';

export const pictureWords: Words = { 'picture-twice': 'This picture stands in the book already.' };

export const pictureSays: readonly Says[] = [
  inBook(
    pictureTaken,
    ({ shows, sha256, size }) => `${shows || 'Of what, is not said'}. ${Math.ceil(size / 1024)} kB, ${sha256.slice(0, 16)}….`,
  ),
];

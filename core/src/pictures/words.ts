import type { Words } from '../findings/index.ts';

export const pictureWords: Words = { 'picture-twice': 'This picture stands in the book already.' };

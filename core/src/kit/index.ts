export * from './entries.ts';
export * from './room.ts';
export * from './home.ts';
export * from './early.ts';
export { fewWords, type FewWords, type KitWords } from './tables/few-words.ts';
export { kitPictures, type KitPicture, type Stroke } from './tables/pictures.ts';
export * from './words.ts';

export * from './units.ts';
export * from './numbers.ts';
export * from './style.ts';
export * from './words.ts';
export * from './typed.ts';

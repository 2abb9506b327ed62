export * from './facts.ts';
export * from './entries.ts';
export * from './fill.ts';
export * from './label.ts';
export * from './asks.ts';
export * from './words.ts';

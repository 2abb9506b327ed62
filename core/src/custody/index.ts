export * from './entries.ts';
export * from './holding.ts';
export * from './intake.ts';
export * from './form.ts';
export * from './waiting.ts';
export * from './custody.ts';
export * from './words.ts';
export * from './endpoints.ts';

export type * from './said.ts';
export * from './verify.ts';

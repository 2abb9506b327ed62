export * from './entries.ts';
export * from './follow-up.ts';
export * from './actions.ts';
export * from './words.ts';
export { followUpTables, type FollowUpTable } from './tables/rules.ts';

export * from './mpn.ts';
export * from './words.ts';
export { trays, type TrayId, type TrayRow } from './tables/trays.ts';

export { pointColumns, type PointColumn } from './tables/columns.ts';
export { pointsToCsv, pointsToGeoJson } from './write.ts';
export * from './rows.ts';
export * from './preview.ts';
export * from './words.ts';

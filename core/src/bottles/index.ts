export * from './rule.ts';
export * from './analyses.ts';
export * from './purpose.ts';
export * from './gear.ts';
export * from './table.ts';
export * from './stage.ts';

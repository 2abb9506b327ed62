export * from './point.ts';
export * from './people.ts';
export * from './device.ts';
export * from './lab.ts';
export * from './things.ts';
export * from './words.ts';
export * from './endpoints.ts';

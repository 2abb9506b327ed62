export * from './device.ts';

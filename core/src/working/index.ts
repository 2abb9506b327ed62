export * from './working.ts';
export * from './computed.ts';

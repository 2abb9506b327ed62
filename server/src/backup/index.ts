export * from './backups.ts';

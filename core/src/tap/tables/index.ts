import { coliformsDistribution } from './coliforms-distribution.ts';

/** Every edition of every protocol. */
export const protocols = [coliformsDistribution] as const;

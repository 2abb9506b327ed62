import type { Protocol } from '../protocol.ts';
import { coliformsDistribution } from './coliforms-distribution.ts';

/** Every edition of every protocol. */
export const protocols: readonly [Protocol, ...Protocol[]] = [coliformsDistribution];

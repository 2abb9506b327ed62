import { shelf } from '../../editions/index.ts';
import { coliformsDistribution } from './coliforms-distribution.ts';

/** Every edition of every protocol. */
export const protocols = shelf([coliformsDistribution]);

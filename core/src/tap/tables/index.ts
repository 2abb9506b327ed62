import { shelf } from '../../editions/index.ts';
import { coliformsDistribution } from './coliforms-distribution.ts';
import { leadTimed } from './lead-timed.ts';

/** Every edition of every protocol, in the order in which they are run at one visit: what needs the water as it stands comes first. */
export const protocols = shelf([leadTimed, coliformsDistribution]);

import { shelf } from '../../editions/index.ts';
import { coliformsDistribution2 } from './coliforms-distribution-2.ts';
import { coliformsDistribution } from './coliforms-distribution.ts';
import { leadTimed, leadTimed2 } from './lead-timed.ts';

/** Every edition of every protocol, in the order in which they are run at one visit: what needs the water as it stands comes first. */
export const protocols = shelf([leadTimed, leadTimed2, coliformsDistribution, coliformsDistribution2]);

import { shelf } from '../../editions/index.ts';
import { coliformsDistribution2 } from './coliforms-distribution-2.ts';
import { coliformsDistribution } from './coliforms-distribution.ts';
import { leadTimed, leadTimed2 } from './lead-timed.ts';
import { leadFirstLitre, leadRandom } from './lead-ways.ts';
import { pfas533Tap, pfas537Tap, radonTap, trihalomethanesTap, volatilesTap } from './organics.ts';
import { legionellaPostFlush, legionellaPreFlush, legionellaShower } from './legionella.ts';

/** What procedures are called of which there are several ways. */
export const procedureTitles: Readonly<Record<string, string>> = { 'lead-timed': 'Lead at the tap', legionella: 'Legionella' };

/** Every edition of every protocol, in the order in which they are run at one visit: what others would change the water of comes first. */
export const protocols = shelf([
  legionellaPreFlush,
  legionellaPostFlush,
  legionellaShower,
  leadTimed,
  leadTimed2,
  leadFirstLitre,
  leadRandom,
  // Before anything is disinfected: bleach makes of water what is looked for in it.
  trihalomethanesTap,
  volatilesTap,
  radonTap,
  pfas533Tap,
  pfas537Tap,
  coliformsDistribution,
  coliformsDistribution2,
]);

import { shelf } from '../../editions/index.ts';
import { coliformsDistribution2 } from './coliforms-distribution-2.ts';
import { coliformsDistribution } from './coliforms-distribution.ts';
import { chemistryTap, coliformsWell } from './chemistry.ts';
import { coliformsAsDrunk, coliformsAtTheTap, coliformsDistribution3, coliformsOutletFirst, coliformsRaw } from './coliforms-ways.ts';
import { goingBack } from './go-back.ts';
import { leadFifthLitre2, leadFirstAndFifth, leadFirstLitre2, leadRandom2, leadTimed3 } from './lead-both.ts';
import { leadTimed, leadTimed2 } from './lead-timed.ts';
import { leadFifthLitre, leadFirstLitre, leadRandom } from './lead-ways.ts';
import {
  pfas533Tap,
  pfas533Tap2,
  pfas533Tap3,
  pfas537Tap,
  pfas537Tap2,
  pfas537Tap3,
  radonTap,
  trihalomethanesTap,
  volatilesTap,
} from './organics.ts';
import {
  legionellaOutbreak,
  legionellaOutbreakShower,
  legionellaOutbreakSwab,
  legionellaOutbreakTank,
  legionellaPostFlush,
  legionellaPreFlush,
  legionellaShower,
  legionellaShower2,
  legionellaSwab,
  legionellaTank,
} from './legionella.ts';
import { legionellaFlushed, legionellaPostFlush3 } from './legionella-flushed.ts';
import { privateDrunk, privateDrunk2, privateFlood, privateFlood2, privateNearWell, privateNearWell2 } from './private-wells.ts';

/** What procedures are called of which there are several ways. */
export const procedureTitles: Readonly<Record<string, string>> = {
  'lead-timed': 'Lead at the tap',
  legionella: 'Legionella',
  'coliforms-distribution': 'Coliforms',
};

/** Ways that are gone where something has happened, and what: habit leads nobody past them, and the lab is told. */
export const exceptionalWays: Readonly<Record<string, 'Outbreak' | 'After a flood'>> = {
  'private-flood': 'After a flood',
  'legionella-outbreak': 'Outbreak',
  'legionella-outbreak-shower': 'Outbreak',
  'legionella-outbreak-tank': 'Outbreak',
  'legionella-outbreak-swab': 'Outbreak',
};

/** Every edition of every protocol, in the order in which they are run at one visit: what others would change the water of comes first. */
export const protocols = shelf([
  legionellaPreFlush,
  legionellaPostFlush,
  goingBack(legionellaPostFlush, '2026-2'),
  legionellaPostFlush3,
  legionellaShower,
  legionellaShower2,
  legionellaTank,
  legionellaSwab,
  legionellaOutbreak,
  legionellaOutbreakShower,
  legionellaOutbreakTank,
  legionellaOutbreakSwab,
  leadFirstAndFifth,
  leadTimed,
  leadTimed2,
  leadTimed3,
  leadFirstLitre,
  leadFirstLitre2,
  leadFifthLitre,
  leadFifthLitre2,
  leadRandom,
  leadRandom2,
  // Before anything is disinfected: bleach makes of water what is looked for in it.
  trihalomethanesTap,
  volatilesTap,
  radonTap,
  pfas533Tap,
  pfas533Tap2,
  pfas533Tap3,
  pfas537Tap,
  pfas537Tap2,
  pfas537Tap3,
  chemistryTap,
  legionellaFlushed,
  coliformsDistribution,
  coliformsDistribution2,
  coliformsDistribution3,
  goingBack(coliformsDistribution3, '2026-4'),
  coliformsOutletFirst,
  goingBack(coliformsOutletFirst, '2026-2'),
  coliformsAtTheTap,
  goingBack(coliformsAtTheTap, '2026-2'),
  coliformsAsDrunk,
  coliformsRaw,
  goingBack(coliformsRaw, '2026-2'),
  privateNearWell,
  privateNearWell2,
  privateDrunk,
  privateDrunk2,
  privateFlood,
  privateFlood2,
  coliformsWell,
]);

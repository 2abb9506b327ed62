import type { ParameterId } from '../../parameters/index.ts';
import type { SumRule } from './limit-set.ts';

/** The four trihalomethanes (Directive (EU) 2020/2184, Annex I, Part B; 40 CFR 141.2). */
export const trihalomethanes4: readonly ParameterId[] = ['chloroform', 'bromoform', 'dibromochloromethane', 'bromodichloromethane'];

/** The five haloacetic acids (the same). */
export const haloaceticAcids5: readonly ParameterId[] = [
  'monochloroaceticAcid',
  'dichloroaceticAcid',
  'trichloroaceticAcid',
  'monobromoaceticAcid',
  'dibromoaceticAcid',
];

/** The four polycyclic aromatics of the Directive. */
export const polycyclic4: readonly ParameterId[] = ['benzoBFluoranthene', 'benzoKFluoranthene', 'benzoGhiPerylene', 'indenoPyrene'];

/** Directive (EU) 2020/2184, Annex III, Part B, point 3: acids and sulfonic acids of four to thirteen carbon atoms. */
export const pfas20: readonly ParameterId[] = [
  ...(['pfba', 'pfpea', 'pfhxa', 'pfhpa', 'pfoa', 'pfna', 'pfda', 'pfunda', 'pfdoda', 'pftrda'] as const),
  ...(['pfbs', 'pfpes', 'pfhxs', 'pfhps', 'pfos', 'pfns', 'pfds', 'pfunds', 'pfdods', 'pftrds'] as const),
];

/** The four that build up in people (German ordinance of 2023; after EFSA 2020). */
export const pfas4: readonly ParameterId[] = ['pfoa', 'pfna', 'pfhxs', 'pfos'];

/** Pesticides and what they break down to that the sum of pesticides is made of. */
export const pesticideList: readonly ParameterId[] = [
  ...(['alachlor', 'aldicarb', 'aldrin', 'ampa', 'atrazine', 'desethylatrazine', 'bentazone', 'carbofuran', 'chlordane'] as const),
  ...(['chlorpyrifos', 'chlortoluron', 'cyanazine', 'dalapon', 'd24', 'db24', 'ddt', 'dicamba', 'dichlorprop', 'dieldrin'] as const),
  ...(['dimethoate', 'dinoseb', 'diquat', 'diuron', 'endothall', 'endrin', 'fenoprop', 'glyphosate', 'heptachlor'] as const),
  ...(['heptachlorEpoxide', 'hexachlorobenzene', 'isoproturon', 'lindane', 'mcpa', 'mecoprop', 'methoxychlor', 'metolachlor'] as const),
  ...(['metribuzin', 'molinate', 'oxamyl', 'pendimethalin', 'picloram', 'simazine', 't245', 'terbuthylazine', 'toxaphene'] as const),
  'trifluralin',
];

/** Four pesticides of which less is allowed (Directive (EU) 2020/2184, Annex I, Part B). */
export const strictPesticides: readonly ParameterId[] = ['aldrin', 'dieldrin', 'heptachlor', 'heptachlorEpoxide'];

/** Every other one of them by a value. */
export const eachOther = (most: number): Partial<Record<ParameterId, number>> =>
  Object.fromEntries(pesticideList.filter((id) => !strictPesticides.includes(id)).map((id) => [id, most]));

/** Nitrate by 50 and nitrite by 3 mg/L, together no more than 1 (WHO Guidelines; Directive (EU) 2020/2184). */
export const nitrateAndNitrite = (place: string): SumRule => ({
  id: 'nitrogen',
  name: 'Nitrate and nitrite together',
  place,
  shares: [
    { parameter: 'nitrate', of: 50, unit: 'mg/L' },
    { parameter: 'nitrite', of: 3, unit: 'mg/L' },
  ],
});

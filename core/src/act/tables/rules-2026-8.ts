import type { ParameterId, ParameterKind } from '../../parameters/index.ts';
import type { FollowUpRule } from './rule.ts';

/** Found in water, they say that faeces have reached it. */
const faecal: readonly ParameterId[] = ['ecoli', 'enterococci', 'thermotolerant'];
/** They harm as spray or on wounds, and grow in the plumbing: what is said of germs that are drunk would be wrong. */
const ofPlumbing: readonly ParameterId[] = ['legionella', 'legionellaPneumophila', 'pseudomonas'];
const legionella: readonly ParameterId[] = ['legionella', 'legionellaPneumophila'];

const living: readonly ParameterKind[] = ['germ', 'count'];
const germ: readonly ParameterKind[] = ['germ'];

/** Rules that were told of coliforms and E. coli by name, or of all but them, and hold for all germs or for none. */
const ofGerms = ['private-germs', 'proves-nothing', 'ask-which-holds'];
const ofChemicals = ['chemical-authority', 'private-chemical'];
const ofFaeces = ['ecoli-authority', 'ecoli-at-once'];
const ofPipes = ['action-level-people', 'action-level-operator'];

/** What is said of E. coli, as it is true of every germ of faeces: which of them it was stands beside the duty. */
const ofAnyGerm = (says: string) => says.replace('E. coli was found', 'germs from faeces were found');

/** What another result must be for the advice of a rule to change, by what it was told of before. */
const besideOf = ({ parameters, notParameters, do: says }: NonNullable<FollowUpRule['beside']>): FollowUpRule['beside'] => ({
  ...(parameters ? { kinds: germ, notParameters: ofPlumbing } : {}),
  ...(notParameters ? { notKinds: living } : {}),
  do: ofAnyGerm(says),
});

function widened(rule: FollowUpRule): FollowUpRule {
  const { id, when } = rule;
  const { parameters: _, notParameters: __, ...rest } = when;
  const beside = rule.beside ? { beside: besideOf(rule.beside) } : {};
  if (ofGerms.includes(id)) return { ...rule, ...beside, when: { ...rest, kinds: germ, notParameters: ofPlumbing } };
  if (ofChemicals.includes(id)) return { ...rule, ...beside, when: { ...rest, notKinds: living } };
  if (ofFaeces.includes(id)) return { ...rule, ...beside, do: ofAnyGerm(rule.do), when: { ...rest, parameters: faecal } };
  if (ofPipes.includes(id)) return { ...rule, ...beside, when: { ...rest, notKinds: living } };
  return { ...rule, ...beside };
}

const bearing = ['over-health', 'over-action', 'over-indicator'] as const;

const added: readonly FollowUpRule[] = [
  {
    id: 'legionella',
    when: { parameters: legionella, states: ['over-health', 'over-action'], doubts: [] },
    due: { endOfDay: true },
    do: 'Tell the operator today: Legionella. No showers and nothing that sprays there until the system is assessed; older and ill people are told first. Look at the temperatures, then sample again, at other outlets too.',
    source: 'HSG274 part 2; Directive (EU) 2020/2184, Article 10; ISO 11731 (from memory)',
  },
  {
    id: 'plumbing-germ',
    when: { parameters: ['pseudomonas'], states: bearing, doubts: [] },
    due: { hours: 24 },
    do: 'Tell the operator: Pseudomonas aeruginosa. It grows in the outlet or in what stands before it. Not for wounds and lenses, nor in wards, until it is gone.',
    source: 'Common practice',
  },
  {
    id: 'other-germ',
    when: { kinds: germ, notParameters: ['coliforms', ...faecal, ...ofPlumbing], states: bearing, use: 'supply', doubts: [] },
    due: { hours: 24 },
    do: 'Tell the operator, and ask the authority what it wants done. Look for the way in and at the treatment, and sample again together with E. coli.',
    source: 'Directive (EU) 2020/2184, Article 14 (immediately investigated); 24 hours: common practice',
  },
  {
    id: 'use-suffers',
    when: { states: ['over-operational'], doubts: [] },
    due: { hours: 72 },
    do: 'Tell whoever waters crops or animals with it, with the value. An adviser or a veterinarian decides.',
    source: 'Common practice',
  },
];

/**
 * Rules that ask what a parameter is and not which: what holds of E. coli holds of other germs of faeces, advice about chemicals is never
 * given of what lives, and germs of the plumbing have advice of their own.
 */
export const rulesOfKinds = (before: readonly FollowUpRule[]): readonly FollowUpRule[] => [...before.map(widened), ...added];

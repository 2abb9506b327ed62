import { shelf } from '../../editions/index.ts';
import type { Origin } from '../../registers/index.ts';
import type { FollowUpRule, FollowUpTable } from './rule.ts';
import { rulesOfKinds } from './rules-2026-8.ts';

export type { Doubt, Due, FollowUpRule, FollowUpTable } from './rule.ts';

const germs = ['coliforms', 'ecoli'] as const;

/**
 * What follows from a verdict, and by when. The Directive says "immediately" (Article 14); the hours are those of the
 * federal US rules named, which give figures. The authority may set shorter ones, and its word comes first.
 */
const rules2026: readonly FollowUpRule[] = [
  {
    id: 'ecoli-authority',
    when: { parameters: ['ecoli'], states: ['over-health'], use: 'supply' },
    due: { endOfDay: true },
    do: 'Call the authority and the operator: E. coli was found. Agree on advice to consumers.',
    source: '40 CFR 141.861 (end of the day); Directive (EU) 2020/2184, Article 14',
  },
  {
    id: 'coliform-repeats',
    when: { parameters: ['coliforms'], states: ['over-indicator'], use: 'supply', sample: 'routine' },
    due: { hours: 24 },
    do: 'Take three repeat samples: the same tap, one upstream, one downstream.',
    source: '40 CFR 141.858 (24 hours from the notice); Directive (EU) 2020/2184, Article 14',
  },
  {
    id: 'coliform-source',
    when: { parameters: ['coliforms'], states: ['over-indicator'], use: 'supply', sample: 'routine' },
    due: { hours: 24 },
    do: 'Take a raw sample at every well that was in use.',
    source: '40 CFR 141.402 (24 hours from the notice)',
  },
  {
    id: 'coliform-special',
    when: { parameters: ['coliforms'], states: ['over-indicator'], use: 'supply', sample: 'special' },
    due: { hours: 24 },
    do: 'Tell the operator: coliforms in a special sample. Agree on a routine sample once the residual is back.',
    source: 'Common practice',
  },
  {
    id: 'chemical-authority',
    when: { notParameters: germs, states: ['over-health'], use: 'supply' },
    due: { endOfDay: true },
    do: 'Tell the operator and the authority. Have it confirmed by a second sample. No advice to boil: boiling concentrates it.',
    source: 'Directive (EU) 2020/2184, Article 14 (immediately); end of the day: common practice',
  },
  {
    id: 'monitoring-coordinator',
    when: { states: ['over-health'], use: 'monitoring' },
    due: { hours: 72 },
    do: 'Tell the coordinator. Nobody drinks from this well; are there users downstream?',
    source: 'Common practice',
  },
  {
    id: 'ask-lower-limit',
    when: { states: ['cannot-tell'] },
    due: { hours: 72 },
    do: 'Ask the lab for a method with a lower reporting limit, and whether the sample can be run again.',
    source: 'Common practice',
  },
];

/** As before, with what a tap over an action level asks for. */
const rules2026b: readonly FollowUpRule[] = [
  ...rules2026,
  {
    id: 'action-level-people',
    when: { states: ['over-action'], use: 'supply' },
    due: { hours: 72 },
    do: 'Tell the people who drink from this tap, with what helps: run the water, cold only, clean the aerator. No advice to boil.',
    source: '40 CFR 141.85(d) (three days from the result; from memory)',
  },
  {
    id: 'action-level-operator',
    when: { states: ['over-action'], use: 'supply' },
    due: { hours: 72 },
    do: 'Tell the operator: this tap counts in the 90th percentile of the round.',
    source: '40 CFR 141.80(c)(3)',
  },
];

const us = ['us-40-cfr'] as const;

/** (Paragraphs of 40 CFR and of the Directive from memory.) As before by the federal US rules where their set leads; elsewhere what the Directive asks for: at once, and what is usual. */
const rules2026c: readonly FollowUpRule[] = [
  {
    id: 'ecoli-authority',
    when: { parameters: ['ecoli'], states: ['over-health'], use: 'supply', sets: us },
    due: { endOfDay: true },
    do: 'Call the authority and the operator: E. coli was found. Agree on advice to consumers.',
    source: '40 CFR 141.861(a)(1) (by the end of the day of the notice)',
  },
  {
    id: 'ecoli-at-once',
    when: { parameters: ['ecoli'], states: ['over-health'], use: 'supply', notSets: us },
    due: { endOfDay: true },
    do: 'Call the authority and the operator now: E. coli was found. Agree on advice to consumers, and look for the cause.',
    source: 'Directive (EU) 2020/2184, Article 14 (immediately); the end of the day at the latest: common practice',
  },
  {
    id: 'coliform-repeats',
    when: { parameters: ['coliforms'], states: ['over-indicator'], use: 'supply', sample: 'routine', sets: us },
    due: { hours: 24 },
    do: 'Take three repeat samples: the same tap, one upstream, one downstream.',
    source: '40 CFR 141.858(a) (24 hours from the notice)',
  },
  {
    id: 'coliform-source',
    when: { parameters: ['coliforms'], states: ['over-indicator'], use: 'supply', sample: 'routine', sets: us },
    due: { hours: 24 },
    do: 'Where groundwater feeds the system: take a raw sample at every well that was in use.',
    source: '40 CFR 141.402(a) (24 hours from the notice)',
  },
  {
    id: 'coliform-cause',
    when: { parameters: ['coliforms'], states: ['over-indicator'], use: 'supply', sample: 'routine', notSets: us },
    due: { hours: 24 },
    do: 'Tell the operator, look for the way in, and sample again: the same tap, and one before and one after it.',
    source: 'Directive (EU) 2020/2184, Article 14 (immediately investigated); 24 hours: common practice',
  },
  ...rules2026b
    .filter(({ id }) => !['ecoli-authority', 'coliform-repeats', 'coliform-source'].includes(id))
    .map((rule): FollowUpRule => {
      if (rule.id === 'monitoring-coordinator')
        return { ...rule, do: 'Tell the coordinator. It is registered as a monitoring well: is that so, and who drinks downstream?' };
      return rule.id === 'action-level-people' ? { ...rule, source: '40 CFR 141.85(d) (three days from the result)' } : rule;
    }),
  {
    id: 'proves-nothing',
    when: { parameters: ['coliforms', 'ecoli'], states: ['proves-nothing'], use: 'supply', sample: 'special' },
    due: { hours: 72 },
    do: 'Nothing was found, and the sample was no routine one. A routine sample is still owed: plan it.',
    source: 'Common practice',
  },
  {
    id: 'ask-which-holds',
    when: { parameters: ['coliforms', 'ecoli'], states: ['proves-nothing'], use: 'supply', sample: 'routine' },
    due: { endOfDay: true },
    do: 'Ask the lab what holds: something was told that no report says, or another thing than the report.',
    source: 'Common practice',
  },
];

const overStates = ['over-health', 'over-action', 'over-indicator'] as const;
const others = ['raw', 'network'] as const;

/**
 * As before for what is not in doubt. What is asks for a new sample and nothing else; a well of somebody's own has no operator and no up-
 * and downstream; and coliforms in raw water say what the treatment has to do.
 */
const rules2026e: readonly FollowUpRule[] = [
  {
    id: 'doubtful-again',
    when: { states: overStates, use: 'supply', doubtful: true },
    due: { hours: 24 },
    do: 'This result is in doubt: the blank of its batch grew. Find out why, and take a new sample before anybody is alarmed.',
    source: 'Common practice; Standard Methods 9020 B (from memory)',
  },
  {
    id: 'private-germs',
    when: { parameters: germs, states: overStates, origins: ['private'], doubtful: false },
    due: { endOfDay: true },
    do: 'Tell the owner in plain words what was found. Until it is clear, other water or boiled water to drink, by the word of the public-health office. Look for the way in at the well, then sample again.',
    source: 'Common practice',
  },
  ...rules2026c.flatMap((rule): FollowUpRule[] => {
    const isAlarm = rule.when.states.some((state) => (overStates as readonly string[]).includes(state));
    if (!isAlarm) return [rule];
    const isForAll = rule.when.use === 'monitoring' || rule.id === 'action-level-people';
    const isOfNetwork = ['coliform-repeats', 'coliform-source', 'coliform-cause'].includes(rule.id);
    const origins: readonly Origin[] = isOfNetwork ? ['network'] : others;
    return [{ ...rule, when: { ...rule.when, doubtful: false, ...(isForAll ? {} : { origins }) } }];
  }),
  {
    id: 'private-chemical',
    when: { notParameters: germs, states: ['over-health'], use: 'supply', origins: ['private'], doubtful: false },
    due: { endOfDay: true },
    do: 'Tell the owner in plain words what was found, and whom to ask: the public-health office. Have it confirmed by a second sample. No advice to boil: boiling concentrates it.',
    source: 'Common practice',
  },
  {
    id: 'raw-coliforms',
    when: { parameters: ['coliforms'], states: ['over-indicator'], use: 'supply', origins: ['raw'], doubtful: false },
    due: { hours: 24 },
    do: 'Tell the operator: coliforms in raw water. Is the disinfection behind it running, and is the well head sound? Sample the raw water again.',
    source: 'Common practice',
  },
];

/**
 * As the edition before; and what two bottles of one water tell differently is measured again before anybody is alarmed, with the higher
 * number believed until then.
 */
const rules2026f: readonly FollowUpRule[] = [
  {
    id: 'duplicate-again',
    when: { states: overStates, doubts: ['duplicate'] },
    due: { hours: 24 },
    do: 'Two bottles of the same water differ, and one exceeds the value. Ask the lab to measure both again, and take a new sample. Until then, assume that the higher result is right.',
    source: 'Common practice',
  },
  ...rules2026e.map(({ when: { doubtful, ...when }, ...rule }): FollowUpRule => ({
    ...rule,
    when: doubtful === undefined ? when : { ...when, doubts: doubtful ? ['blank'] : [] },
  })),
];

/** Advice for germs and advice for what is dissolved contradict each other; where both are over, each duty says the same of the water. */
const bothSay =
  'No advice to boil alone: boiling kills germs and concentrates what is dissolved. Other water to drink until the authority decides.';
const withGerms: FollowUpRule['beside'] = {
  parameters: germs,
  do: `Call the authority and the operator now: a chemical exceeds its value in water that holds germs. ${bothSay} Have it confirmed by a second sample.`,
};
const besides: Readonly<Record<string, FollowUpRule['beside']>> = {
  'ecoli-authority': {
    notParameters: germs,
    do: `Call the authority and the operator: E. coli was found, and a chemical exceeds its value. ${bothSay}`,
  },
  'ecoli-at-once': {
    notParameters: germs,
    do: `Call the authority and the operator now: E. coli was found, and a chemical exceeds its value. ${bothSay} Look for the cause.`,
  },
  'private-germs': {
    notParameters: germs,
    do: `Inform the owner in plain words: germs were found, and a chemical exceeds its value. ${bothSay} Look for the way in at the well, then sample again.`,
  },
  'chemical-authority': withGerms,
  'action-level-people': {
    parameters: germs,
    do: `Inform the people who drink from this tap. ${bothSay} Cold water only; clean the aerator.`,
  },
  'private-chemical': {
    parameters: germs,
    do: `Inform the owner in plain words: a chemical exceeds its value in water that holds germs. ${bothSay} Have it confirmed by a second sample.`,
  },
};
/** E. coli is one of the coliforms: where it is found, what coliforms ask for is asked for, whether the lab has a row for them or not. */
const alsoForEcoli = ['coliform-repeats', 'coliform-source', 'coliform-cause'];

/** As the edition before; E. coli asks for repeats of its own, and what germs and chemicals ask for at one point agrees. */
const rules2026g: readonly FollowUpRule[] = rules2026f.map((rule): FollowUpRule => {
  const isWider = alsoForEcoli.includes(rule.id);
  const beside = besides[rule.id];
  return {
    ...rule,
    ...(isWider ? { when: { ...rule.when, parameters: germs, states: ['over-indicator', 'over-health'] as const } } : {}),
    ...(beside ? { beside } : {}),
  };
});

const common = { id: 'follow-ups', from: '2020-01-01', source: '40 CFR 141; Directive (EU) 2020/2184; common practice' };

export const followUpTables = shelf<FollowUpTable>([
  { ...common, edition: '2026-1', rules: rules2026 },
  { ...common, edition: '2026-2', rules: rules2026b },
  { ...common, edition: '2026-3', rules: rules2026c },
  { ...common, edition: '2026-4', rules: rules2026c, lost: ['call-lab', 'missing'] },
  { ...common, edition: '2026-5', rules: rules2026e, lost: ['call-lab', 'missing'] },
  { ...common, edition: '2026-6', rules: rules2026f, lost: ['call-lab', 'missing'] },
  { ...common, edition: '2026-7', rules: rules2026g, lost: ['call-lab', 'missing'] },
  { ...common, edition: '2026-8', rules: rulesOfKinds(rules2026g), lost: ['call-lab', 'missing'] },
]);

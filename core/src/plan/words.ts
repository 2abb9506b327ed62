import type { FindingWords, Words } from '../findings/index.ts';
import { showDate } from '../time/index.ts';
import { show } from '../units/index.ts';
import { analysisName, bottleTables, purpose, type AnalysisId, type ExtraEvery } from '../bottles/index.ts';
import { inBook, type Says } from '../book/index.ts';
import type { OwnLimitSet } from '../registers/index.ts';
import {
  analysisAdded,
  analysisRemoved,
  bottlesPacked,
  extraPlanned,
  judgedAnew,
  labAdded,
  roundGivenUp,
  roundPlanned,
  visitAdded,
} from './entries.ts';
import { dayPlanned } from './day-settings.ts';

export const planWords: Words = {
  'no-plan': 'There is no such round.',
  'given-up': 'This round was abandoned already.',
  'planned-already': 'This round is planned already.',
  'no-such-visit': 'This round has no such point.',
  'in-plan': 'It is in the plan already.',
  'code-in-round': ({ code }) => `Another point of this round has the code ${code}: their labels could not be told apart.`,
  'not-in-plan': 'It is not in the plan.',
  'bottle-used': ({ bottle, state, analysis }) => `Bottle ${bottle} was ${state} already: ${analysis} stays in the plan.`,
  'visits-turned': ({ name }) => `The visits to ${name} keep their order: their labels count them.`,
  'no-such-door': ({ at }) => `The lab of this round has no place called ${at} where bottles are left.`,
  'not-in-round': ({ bottle }) => `${bottle} is not in this round.`,
};

export const planFindings: FindingWords = {
  'day-past': [({ date }) => `${showDate(String(date))} is past.`, 'Is that the day?'],
  'first-water-twice': [
    ({ name, first, second }) =>
      `${name}: ${analysisNamed(first)} and ${analysisNamed(second)} both want the first water, of which there is one.`,
    'Plan one of them for another day.',
  ],
  'first-water-gone': [
    ({ name, first, hours }) =>
      `${name}: ${analysisNamed(first)} wants a tap that nobody used for ${hours} h, and an earlier visit uses it.`,
    'Take it at the first visit.',
  ],
  'lab-takes-not': [({ lab, analysis }) => `${lab} does not take ${analysisNamed(analysis)}.`, 'Choose another lab for it, or ask.'],
  'lab-never-opens': [({ lab }) => `${lab} has no intake hours: nobody takes these bottles in.`, 'Enter its hours in the register.'],
  'out-of-use': [
    ({ name, reason, again }) => `${name} is out of use: ${reason}.${again ? ` Look again on ${showDate(String(again))}.` : ''}`,
    'Take what stands in for it.',
  ],
  'surface-untreated': [
    ({ name }) => `${name}: untreated surface water is not taken for drinking-water tests.`,
    'Take it behind its treatment. If it is treated there, change its water to “Treated” in the register.',
  ],
  'private-source-unsaid': [
    ({ name }) => `${name}: is it surface water, and is it treated? The register does not say.`,
    'Ask the owner, and register it: untreated surface water is not taken for drinking-water tests.',
  ],
  'day-far': [({ date, days }) => `${showDate(String(date))} is ${days} days ahead.`, 'Is that the day?'],
};

const analysisNamed = (id: unknown) => analysisName(bottleTables.newest[0]!, id as AnalysisId);

const names = (ids: readonly AnalysisId[], edition?: string) => {
  const table = (edition && bottleTables.find(edition)) || bottleTables.newest[0]!;
  return ids.map((id) => analysisName(table, id)).join(', ');
};

/** How often a blank or duplicate belongs to its bottles, in brackets behind it. */
export function sayEvery(every: ExtraEvery): string {
  if (every === 'round') return '(one a round)';
  return every === 'building' ? '(one for each building or site)' : `(one in ${every})`;
}

/** `called` names an edition of limits or follow-ups for people. */
export const planSays = (called: (edition: string, own?: readonly OwnLimitSet[]) => string): readonly Says[] => [
  inBook(roundPlanned, ({ name, code, system, date, lab, visits, editions, ownLimits }) => {
    const points = visits.map(
      ({ point, analyses }) => `${point.name} (${analyses.length > 0 ? names(analyses, editions.bottles) : 'level only'})`,
    );
    return `${name}, ${code}, for ${system} on ${date}. ${points.join('; ')}. Lab: ${lab?.name ?? 'none'}. Limits: ${editions.limits.map((ref) => called(ref, ownLimits)).join('; ')}.`;
  }),
  inBook(visitAdded, ({ point, analyses }) => `${point.name}, ${point.code} (${analyses.length > 0 ? names(analyses) : 'level only'}).`),
  inBook(analysisAdded, ({ analysis }) => `${names([analysis])}.`),
  inBook(analysisRemoved, ({ analysis }) => `${names([analysis])}.`),
  inBook(
    extraPlanned,
    ({ analysis, purpose: id, as }) => `${purpose(id).name} for ${names([analysis])}${as ? `, as ${as.code}, ${as.name}` : ''}.`,
  ),
  inBook(labAdded, ({ lab, bottles, splits }) => {
    const cards = bottleTables.newest[0]!.rules;
    const kinds = [...bottles.map((rule) => cards[rule]?.name ?? rule), ...(splits ? ['splits'] : [])];
    return `${lab.name}: ${kinds.join(', ')}.`;
  }),
  inBook(
    dayPlanned,
    ({ order, start, speed }) =>
      `Set out at ${start}, ${order.length === 1 ? '1 stop' : `${order.length} stops`}, ${show(speed, 'km/h', 0)} on the road.`,
  ),
  inBook(bottlesPacked, ({ bottles }) => `${bottles.join(', ')}.`),
  inBook(
    judgedAnew,
    ({ limits = [], ownLimits, followUps, reason }) =>
      `By ${[...limits, ...(followUps ? [followUps] : [])].map((ref) => called(ref, ownLimits)).join('; ')}: ${reason}`,
  ),
  inBook(roundGivenUp, ({ reason }) => reason),
];

import type { Protocol, Step, Stop } from '../protocol.ts';
import { leadTimed2 } from './lead-timed.ts';

const american = '40 CFR 141.86(b) (from memory)';
const european = 'Directive (EU) 2020/2184, Annex II, part D: one litre at random in the day, without flushing';

const of = 'lead-timed';
const timed = (id: string): Step => leadTimed2.steps.find((step) => step.id === id)!;
const shared = { edition: '2026-1', from: '2026-11-23', analysis: 'lead' } as const;

const short: Stop = {
  outcome: 'special',
  say: 'Less than six hours: the pipe has not given off what it gives over night.',
  advice: 'Come back in the morning before anybody uses water, or go on as a special sample.',
  source: american,
};

/** The first litre after a night. */
export const leadFirstLitre: Protocol = {
  ...shared,
  id: 'lead-first-litre',
  title: 'Lead, the first litre after six hours',
  source: `${american}; common practice`,
  way: { of, says: 'The first litre of a tap that stood for six hours or more, as the US rule asks for it.' },
  freshFor: 600,
  steps: [
    timed('fitness'),
    {
      id: 'stood',
      say: 'Ask when water was last used anywhere in the house',
      why: 'One flushed toilet in the night renews the water in the pipe.',
      source: american,
      departed: 'special',
      act: { type: 'since', asks: 'For how long has nobody used any water?', least: 21_600, stop: short },
    },
    { ...timed('fill'), say: 'Open slowly and catch the first litre, all of it', source: american },
    timed('put-back'),
  ],
};

const fifth = '40 CFR 141.86(b)(3) (from memory): first and fifth litre at a lead service line';

/** What stood in the line to the house: behind the water of the house itself. */
export const leadFifthLitre: Protocol = {
  ...shared,
  id: 'lead-fifth-litre',
  title: 'Lead, the fifth litre after six hours',
  source: `${fifth}; common practice`,
  way: {
    of,
    says: 'The fifth litre of a tap that stood for six hours: what stood in a lead line in the street. The first is a visit of its own.',
  },
  freshFor: 600,
  steps: [
    timed('fitness'),
    leadFirstLitre.steps.find(({ id }) => id === 'stood')!,
    {
      id: 'four-litres',
      say: 'Open slowly and catch four litres, one after the other, without closing the tap',
      why: 'They stood in the pipes of the house. A tap that is closed between mixes them with what comes behind.',
      source: fifth,
      departed: 'invalid',
      act: { type: 'times', least: 4 },
    },
    { ...timed('fill'), say: 'Catch the fifth litre in the bottle, all of it', source: fifth },
    timed('put-back'),
  ],
};

/** As people happen to drink it. */
export const leadRandom: Protocol = {
  ...shared,
  id: 'lead-random',
  title: 'Lead, a litre at random in the day',
  source: `${european} (from memory); common practice`,
  way: { of, says: 'One litre whenever you come, nothing run before: what people happen to drink, as the European rule asks for it.' },
  freshFor: 600,
  steps: [
    timed('fitness'),
    {
      id: 'not-run',
      say: 'Leave the tap alone until the bottle is under it',
      why: 'Whatever runs by would have been drunk: the litre is to be as the day made it.',
      source: european,
      act: {
        type: 'checks',
        items: [
          { id: 'nothing-run', label: 'Nothing was run from it for this sample', no: 'invalid' },
          { id: 'working-hours', label: 'It is an hour at which people draw water here', no: 'special' },
        ],
      },
    },
    { ...timed('fill'), say: 'Open as for a glass of water and catch a litre', source: european },
    timed('put-back'),
  ],
};

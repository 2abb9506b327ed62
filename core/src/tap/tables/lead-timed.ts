import type { Effect, Protocol } from '../protocol.ts';

const practice = 'Common practice';
const canada = 'Health Canada, guideline technical document on lead (2019), 30-minute stagnation (from memory)';

/**
 * Lead and copper at a tap that is drunk from: flush, let the water stand, catch all of the first of it. The lab's window
 * for the standing has an upper end too. Local instructions and the employer's rules come first.
 */
export const leadTimed: Protocol = {
  id: 'lead-timed',
  edition: '2026-1',
  from: '2020-01-01',
  title: 'Lead, 30 minutes standing',
  analysis: 'lead',
  source: `${canada}; common practice`,
  steps: [
    {
      id: 'fitness',
      say: 'Look at the tap and what leads to it',
      why: 'A softener or filter takes lead out; hot water takes more in. Look at the meter, under the sink and on the tap.',
      source: practice,
      caution: 'Hot water scalds: cold only. Look round first: wet floor, dogs, working alone. Your employer’s rules come first.',
      act: {
        type: 'checks',
        items: [
          {
            id: 'drinking-tap',
            label: 'People drink from this tap',
            stop: {
              outcome: 'special',
              say: 'What nobody drinks says nothing about what people drink.',
              advice: 'Take the kitchen tap instead, or go on as a special sample.',
              source: practice,
            },
          },
          {
            id: 'no-treatment',
            label: 'No softener or filter in the path, or it is bypassed',
            stop: {
              outcome: 'special',
              say: 'Treated water is not what the pipes give off.',
              advice: 'Bypass the device and strike this answer, or go on as a special sample.',
              source: practice,
            },
          },
          {
            id: 'aerator-on',
            label: 'The aerator is on, as people drink',
            stop: {
              outcome: 'special',
              say: 'Lead collects in the aerator; without it the sample says too little.',
              advice: 'Put it back and strike this answer, or go on as a special sample.',
              source: canada,
            },
          },
        ],
      },
    },
    {
      id: 'told',
      say: 'Tell everybody: no water anywhere in the house',
      why: 'One flushed toilet renews the water in the pipe, and the half hour begins anew.',
      source: practice,
      act: { type: 'confirm' },
    },
    {
      id: 'flush',
      say: 'Run cold water, full',
      why: 'The half hour is to begin with fresh water in all of the pipe.',
      source: `Five minutes: ${canada}`,
      act: { type: 'clock', least: 300, usual: '5 min' },
    },
    {
      id: 'standing',
      say: 'Close the tap; the water stands, nobody uses any',
      why: 'The pipe gives off in this time what the sample is to show.',
      source: `${canada}; the upper end: common practice, the lab’s word comes first`,
      act: { type: 'clock', least: 1800, most: 2700, usual: '30 min', restart: 'Somebody used water' },
    },
    {
      id: 'fill',
      say: 'Open slowly and catch all of the first water, to the line',
      why: 'What stood in the tap and the pipe next to it comes first. Nothing may run by.',
      source: canada,
      act: { type: 'fill', analysis: 'lead' },
    },
    {
      id: 'put-back',
      say: 'Close the tap; water may be used again',
      why: 'The people of the house wait for it.',
      source: practice,
      act: { type: 'confirm' },
    },
  ],
};

/** What a departure from each step makes of the sample. */
const departed: Readonly<Record<string, Effect>> = {
  fitness: 'special',
  told: 'special',
  flush: 'special',
  standing: 'invalid',
  fill: 'invalid',
  'put-back': 'noted',
};

/** As before; each step says what a departure from it makes of the sample. */
export const leadTimed2: Protocol = {
  ...leadTimed,
  edition: '2026-2',
  freshFor: 5400,
  steps: leadTimed.steps.map((step) => ({ ...step, departed: departed[step.id]! })),
};

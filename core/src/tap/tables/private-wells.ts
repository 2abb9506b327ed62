import { stubStep, type Protocol, type Step, type Stop } from '../protocol.ts';
import { filling, mustBeZero, step } from './coliforms-ways.ts';

const practice = 'Common practice';
const of = 'coliforms-distribution';
const local = 'Common practice of public-health offices; your own office comes first';

const stop = (outcome: Stop['outcome'], say: string, advice: string): Stop => ({ outcome, say, advice, source: practice });

/** Chlorine has to be gone: what a well was disinfected with kills in the bottle what is looked for. */
const zero = (outcome: Stop['outcome']): Step =>
  step('residual', {
    say: 'Measure free chlorine: it must be zero',
    why: 'A well of one’s own has none, but for a time after it was disinfected.',
    source: practice,
    act: mustBeZero(
      outcome,
      'There is chlorine in it: the well was disinfected, and the result would be too good.',
      'Run it off outside, away from plants and septic tank, and come back when it reads zero.',
    ),
  });

/** Always here, not after one of several ways to disinfect. */
const { when: _, ...chlorineAgain } = step('residual-again');

const bleach = 'Never with acid or ammonia. Ventilate, gloves, eye protection. One part of household bleach to ten of water.';

/** The outlet hangs in bleach, stands, and runs until nothing of it is left. */
const dipped: readonly Step[] = [
  {
    id: 'dip',
    say: 'Hold the outlet into a cup of bleach, 1 : 10',
    why: 'What lives on the outlet must not get into the bottle.',
    source: 'A tablespoon to half a cup of bleach: common practice',
    caution: bleach,
    departed: 'special',
    act: { type: 'clock', least: 60, usual: '1 to 2 min' },
  },
  {
    id: 'run-cold',
    say: 'Run cold water until the bleach is gone',
    why: 'Bleach in the bottle kills what is looked for.',
    source: 'Three to four minutes: common practice',
    departed: 'invalid',
    act: { type: 'clock', least: 180, usual: '3 to 4 min' },
  },
  chlorineAgain,
];

const stub: Step = {
  id: stubStep,
  say: 'Bar code on bottle and form; keep the stub',
  why: 'It is the only way to ask the lab for a result that nobody sent.',
  source: local,
  departed: 'noted',
  act: { type: 'confirm' },
};
const closing: readonly Step[] = filling.flatMap((one) => (one.id === 'cold' ? [stub, one] : [one]));

const shared = { edition: '2026-1', from: '2026-11-23', analysis: 'coliforms', freshFor: 3600, source: local } as const;
const where = { origins: ['private'] } as const;

/** The water of the well, before anything is done to it. */
export const privateNearWell: Protocol = {
  ...shared,
  id: 'private-near-well',
  title: 'Private well, at the well',
  where,
  way: { of, says: 'The outlet nearest the well and before any treatment: is the well sound?' },
  steps: [
    {
      id: 'outlet',
      say: 'Look for the outlet nearest the well',
      why: 'Pressure tank, softener and filter have bacteria of their own.',
      source: local,
      caution: 'Well pit and pump house: do not climb in. Dogs, insects, wiring in wet places.',
      departed: 'special',
      act: {
        type: 'checks',
        items: [
          {
            id: 'before-treatment',
            label: 'Before softener, filter and lamp',
            stop: stop(
              'special',
              'Behind treatment it tells of the treatment.',
              'Take an outlet before it, bypass it, or go on as a special sample.',
            ),
          },
          { id: 'outlet-down', label: 'It faces down, is clean and does not leak; no hose', no: 'special' },
        ],
      },
    },
    step('strip', { say: 'Take off what is screwed or clipped on' }),
    step('hands'),
    step('flush', {
      say: 'Let the water run until the pump has come on',
      why: 'The pressure tank has to be emptied into the ditch first.',
    }),
    zero('special'),
    ...dipped,
    ...closing,
  ],
};

/** What a household drinks, with whatever treats it. */
export const privateDrunk: Protocol = {
  ...shared,
  id: 'private-drunk',
  title: 'Private well, the tap they drink from',
  where,
  way: { of, says: 'The tap they drink from, with whatever treats it: is what they drink sound?' },
  steps: [
    {
      id: 'outlet',
      say: 'Look at the tap they drink from',
      why: 'A swivel arm, a screen or a leaking stem is disinfected badly: a bathroom tap without a screen is better.',
      source: local,
      departed: 'special',
      act: {
        type: 'checks',
        items: [
          { id: 'drunk', label: 'They drink from it', no: 'special' },
          { id: 'outlet-down', label: 'It faces down, is clean and does not leak', no: 'special' },
          { id: 'treatment-known', label: 'What treats the water before it was asked and written down', no: 'noted' },
        ],
      },
    },
    step('strip', { say: 'Take off aerator and screen' }),
    step('hands'),
    step('flush', { say: 'Run cold water, full and steady', why: 'The sample is to come from the well, not from the pipes of the house.' }),
    zero('special'),
    ...dipped,
    ...closing,
  ],
};

/** After a flood nothing is as it was: the danger first, then a bottle that proves something. */
export const privateFlood: Protocol = {
  ...shared,
  id: 'private-flood',
  title: 'Private well after a flood',
  where,
  way: { of, says: 'After a flood, once the well was cleaned and disinfected: may they drink again?' },
  steps: [
    {
      id: 'safe',
      say: 'Look before you touch anything',
      why: 'Water and wiring kill; a well that stands open is fouled anew with the next rain.',
      source: local,
      caution:
        'Pumps and wiring that stood in water: a licensed person first. Flood water carries sewage: gloves, boots, wash. Do not climb into pits.',
      departed: 'special',
      isNeeded: true,
      act: {
        type: 'checks',
        items: [
          {
            id: 'electricity',
            label: 'A licensed person says that pump and wiring are safe',
            stop: stop(
              'abandoned',
              'Nobody knows whether the current is safe.',
              'Do not switch it on. Call an electrician, and come back.',
            ),
          },
          {
            id: 'structure',
            label: 'Casing, cap and ground about the well are whole',
            stop: stop(
              'abandoned',
              'A broken well is fouled again.',
              'It is repaired and disinfected first. Nobody drinks from it until then.',
            ),
          },
          { id: 'weather', label: 'No wind and no rain into the bottle', no: 'special' },
        ],
      },
    },
    {
      id: 'disinfected',
      say: 'Ask when the well was disinfected',
      why: 'Too early the chlorine answers; what came back shows only after some days.',
      source: 'A week after: common practice; your public-health office may ask for another time',
      departed: 'special',
      act: {
        type: 'since',
        asks: 'How long ago was it disinfected?',
        least: 604_800,
        stop: stop(
          'special',
          'Less than a week ago: what comes back is not there yet.',
          'Come back, or take this one as a special sample.',
        ),
      },
    },
    step('strip', { say: 'Take off what is screwed or clipped on' }),
    step('hands'),
    step('flush', { say: 'Let the water run until it is clear and the pump has come on', why: 'What stood in the pipes is the flood’s.' }),
    zero('invalid'),
    {
      id: 'soak',
      say: 'Soak the outlet in bleach, 1 : 10',
      why: 'Mud sits in every thread.',
      source: practice,
      caution: bleach,
      departed: 'special',
      act: { type: 'clock', least: 120, usual: '2 min or longer' },
    },
    {
      id: 'brush',
      say: 'Brush it inside and out with the bleach',
      why: 'Bleach does not get through mud.',
      source: practice,
      departed: 'special',
      act: { type: 'confirm' },
    },
    {
      id: 'run-full',
      say: 'Run it at full flow',
      why: 'Bleach in the bottle kills what is looked for.',
      source: 'Three minutes: common practice',
      departed: 'invalid',
      act: { type: 'clock', least: 180, usual: '3 min' },
    },
    chlorineAgain,
    {
      ...step('stream'),
      say: 'Turn it down to a trickle, then leave the valve alone',
    },
    step('fill', { say: 'Fill the bottle to its neck', why: 'Open it only now, away from the wind. Cap facing down, never set down.' }),
    stub,
    step('cold'),
    step('put-back'),
  ],
};

/** Asked where the register does not say that it is groundwater. */
const askedSource = (label: string, advice: string): Step => ({
  id: 'source',
  say: 'Ask what water it is',
  why: 'Untreated surface water is not taken for a drinking-water test: it is unsafe, whatever one bottle says.',
  source: local,
  departed: 'special',
  where: { sources: ['unsaid', 'surface', 'under-surface-influence'] },
  act: {
    type: 'checks',
    items: [
      {
        id: 'no-untreated-surface',
        label,
        stop: stop('abandoned', 'Untreated surface water: no drinking-water sample is taken of it.', advice),
      },
    ],
  },
});

/** A protocol as before that asks first what water it is; after a flood the danger comes before that. */
const askingSource = (before: Protocol, step: Step): Protocol => ({
  ...before,
  edition: '2026-2',
  steps: before.steps.flatMap((one, at) => (at === (before.steps[0]!.id === 'safe' ? 1 : 0) ? [step, one] : [one])),
});

const behindTreatment = 'Take it behind its treatment. Nobody drinks it untreated.';
export const privateNearWell2 = askingSource(
  privateNearWell,
  askedSource('From a well or spring, not from a stream, lake or open tank', behindTreatment),
);
const treatedOrGround = askedSource('From a well or spring; or surface water that is treated before this tap', behindTreatment);
export const privateDrunk2 = askingSource(privateDrunk, treatedOrGround);
export const privateFlood2 = askingSource(privateFlood, treatedOrGround);

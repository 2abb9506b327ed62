import type { Protocol, Step, Stop } from '../protocol.ts';
import { coliformsDistribution2 } from './coliforms-distribution-2.ts';

const practice = 'Common practice';
const iso = 'ISO 19458:2006, Legionella (from memory)';
const source = `${iso}; common practice`;
const aerosol = 'Legionella is breathed in, not drunk: open slowly, no spray, keep your face away; a mask where it cannot be helped.';

const special = (say: string, advice: string): Stop => ({ outcome: 'special', say, advice, source: practice });

const unused: Step = {
  id: 'unused',
  say: 'Ask since when nobody has used it',
  why: 'The first water shows what grows in outlet and pipe while nobody draws any.',
  source: practice,
  departed: 'special',
  act: {
    type: 'since',
    asks: 'For how long has nobody used it?',
    least: 7200,
    stop: special(
      'Used within two hours: what stood in it is gone.',
      'Come back when it has stood, take another outlet, or go on as a special sample and say so.',
    ),
  },
};

const water: Step = {
  id: 'water',
  say: 'Which water comes out of it?',
  why: 'How long it runs before the temperature is taken hangs on it.',
  source: practice,
  departed: 'special',
  isNeeded: true,
  act: {
    type: 'choose',
    options: [
      { id: 'hot', label: 'Hot', caution: 'It may be over 60 °C: open slowly, keep hands out of the stream.' },
      { id: 'cold', label: 'Cold' },
      { id: 'mixed', label: 'Mixed by a valve', caution: 'Turn it to hot; a thermostat that cannot be turned is noted.' },
    ],
  },
};

const runs = (id: string, least: number, chosen: readonly string[], usual: string): Step => ({
  id,
  say: 'Let it run',
  why: 'The temperature of the system is that of water out of it, not of the outlet.',
  source: `One minute for hot water, two for cold: ${practice.toLowerCase()}`,
  caution: aerosol,
  when: { step: 'water', chosen },
  departed: 'special',
  act: { type: 'clock', least, usual },
});
const running = [runs('run-hot', 60, ['hot', 'mixed'], '1 min'), runs('run-cold', 120, ['cold'], '2 min')];

const temperature: Step = {
  id: 'temperature',
  say: 'Measure the temperature as it runs',
  why: 'Between 20 and 50 °C they grow. Lab and operator want it beside the result.',
  source: practice,
  departed: 'noted',
  act: { type: 'measure', parameter: 'temperature', unit: 'degC', stops: [] },
};

const fill = (say: string, why: string): Step => ({
  id: 'fill',
  say,
  why,
  source: iso,
  departed: 'invalid',
  caution: aerosol,
  act: { type: 'fill', analysis: 'legionella' },
});

const after: readonly Step[] = [
  {
    id: 'invert',
    say: 'Close it and turn it over a few times',
    why: 'What neutralises chlorine lies at the bottom: it has to reach all of the water.',
    source: practice,
    departed: 'special',
    act: { type: 'confirm' },
  },
  {
    id: 'box',
    say: 'Into its own box, at 6 to 20 °C, in the dark',
    why: 'On ice they are stunned and counted too low; in the warm they grow.',
    source: practice,
    departed: 'special',
    act: { type: 'confirm' },
  },
];

/** The first water, then the temperature of what comes behind it. */
const firstWater: readonly Step[] = [
  water,
  fill(
    'Open gently and catch the first water, a litre or more, with a small air gap',
    'Nothing may run by: the first of it is what is looked for.',
  ),
  ...after,
  ...running,
  temperature,
];

const asItIs: Step = {
  id: 'as-it-is',
  say: 'Look at it and leave it as it is',
  why: 'What is cleaned or taken off now is gone from the sample.',
  source: practice,
  caution: aerosol,
  act: {
    type: 'checks',
    items: [
      { id: 'not-disinfected', label: 'Not cleaned or disinfected today', no: 'special' },
      { id: 'fittings-on', label: 'Aerator, head or hose are on, as it is used', no: 'special' },
    ],
  },
};

const shared = {
  edition: '2026-1',
  from: '2026-11-23',
  analysis: 'legionella',
  source,
} as const;

/** The first water of an outlet as people meet it. */
export const legionellaPreFlush: Protocol = {
  ...shared,
  id: 'legionella-pre-flush',
  title: 'Legionella, the first water',
  freshFor: 600,
  way: { of: 'legionella', says: 'What an outlet gives at once: the outlet and the pipe next to it, as whoever uses it first meets it.' },
  where: { notKinds: ['shower', 'tank', 'surface'] },
  steps: [unused, asItIs, ...firstWater],
};

const disinfecting = ['disinfect', 'flame-safe', 'flame', 'contact', 'rinse-off', 'rinse-bleach'].map((id) =>
  coliformsDistribution2.steps.find((step) => step.id === id)!,
);

/** Water out of the system, behind the outlet. */
export const legionellaPostFlush: Protocol = {
  ...shared,
  id: 'legionella-post-flush',
  title: 'Legionella, after flushing',
  freshFor: 1800,
  way: { of: 'legionella', says: 'What the system brings: run, disinfected, rinsed. Never from a shower.' },
  where: { notKinds: ['shower', 'tank', 'surface'] },
  steps: [
    water,
    ...running,
    temperature,
    {
      id: 'strip',
      say: 'Take off what is screwed or clipped on',
      why: 'What grows in aerator and hose is not what the system brings.',
      source: practice,
      departed: 'special',
      act: { type: 'confirm' },
    },
    ...disinfecting,
    fill('Fill a litre or more without changing the flow, with a small air gap', 'A valve that is touched sets free what sits in it.'),
    ...after,
  ],
};

/** The first water of a shower, without a spray. */
export const legionellaShower: Protocol = {
  ...shared,
  id: 'legionella-shower',
  title: 'Legionella at a shower',
  freshFor: 600,
  way: { of: 'legionella', says: 'The first water of a shower, caught without spray.' },
  where: { kinds: ['shower'] },
  steps: [
    unused,
    {
      id: 'spray',
      say: 'Keep it from spraying',
      why: 'A shower makes the droplets that carry them into the lung: yours now.',
      source: practice,
      caution: aerosol,
      departed: 'special',
      isNeeded: true,
      act: {
        type: 'choose',
        options: [
          { id: 'hose', label: 'The head is off; the hose ends in the bottle' },
          { id: 'sleeve', label: 'A bag as a sleeve about the head, its corner in the bottle' },
        ],
      },
    },
    ...firstWater,
  ],
};

const outbreak: Step = {
  id: 'outbreak',
  say: 'Before the first bottle: it is an outbreak',
  why: 'People are ill. What is cleaned or flushed now can never be compared with what they have.',
  source: practice,
  caution: 'Vulnerable people do not sample. A mask by the risk assessment of the place; your public-health office leads.',
  departed: 'special',
  isNeeded: true,
  act: {
    type: 'checks',
    items: [
      {
        id: 'office',
        label: 'The public-health office knows, and has agreed to this outlet',
        stop: special('Nobody who leads has agreed.', 'Call the office first: it says which outlets, and in which order.'),
      },
      {
        id: 'lab',
        label: 'The bottle goes to the public-health lab, which keeps what grows for typing',
        stop: special('Another lab may not keep what grows.', 'Ask the office which lab; without typing nobody is linked to this water.'),
      },
      { id: 'untreated', label: 'Nothing was disinfected, heated or flushed since people fell ill', no: 'special' },
    ],
  },
};

/** Where people are ill: the first water alone, before anything is changed. */
export const legionellaOutbreak: Protocol = {
  ...shared,
  id: 'legionella-outbreak',
  title: 'Legionella in an outbreak',
  freshFor: 600,
  way: { of: 'legionella', says: 'People are ill: the first water alone, for the public-health lab, before anything is changed.' },
  where: { notKinds: ['shower', 'tank', 'surface'] },
  steps: [outbreak, ...legionellaPreFlush.steps],
};

/** Out of a tank, from under its surface. */
export const legionellaTank: Protocol = {
  ...shared,
  id: 'legionella-tank',
  title: 'Legionella out of a tank',
  freshFor: 600,
  way: { of: 'legionella', says: 'Dipped out of a tank through its hatch.' },
  where: { kinds: ['tank'] },
  steps: [
    {
      id: 'hatch',
      say: 'Open the hatch, from outside',
      why: 'What lies on the lid falls in: wipe it before.',
      source: practice,
      caution: 'A tank is a confined space: do not enter, do not lean in. Ladders, roofs and hot water. Your employer’s rules come first.',
      departed: 'special',
      isNeeded: true,
      act: {
        type: 'checks',
        items: [
          {
            id: 'from-outside',
            label: 'The water can be reached from a safe stand outside',
            stop: {
              outcome: 'abandoned',
              say: 'Not without going in.',
              advice: 'Take the drain or the outlet next to it, or ask for people trained for confined spaces.',
              source: practice,
            },
          },
          { id: 'still', label: 'The water was not stirred or treated today', no: 'special' },
        ],
      },
    },
    { ...temperature, say: 'Measure the temperature in the tank, away from the inlet' },
    fill(
      'Dip the bottle in at 45°, mouth down, turn it up under the surface; a small air gap',
      'The film on the surface is not the water below it.',
    ),
    ...after,
  ],
};

/** What grows on a surface. */
export const legionellaSwab: Protocol = {
  ...shared,
  id: 'legionella-swab',
  title: 'Legionella, swab of a surface',
  freshFor: 600,
  way: { of: 'legionella', says: 'A swab of what grows on a surface. It says what lives there, not how much is in the water.' },
  where: { kinds: ['surface'] },
  steps: [
    {
      id: 'surface',
      say: 'Get to the surface before water runs over it',
      why: 'A stream washes off what is looked for.',
      source: practice,
      caution: aerosol,
      departed: 'special',
      act: {
        type: 'checks',
        items: [
          { id: 'not-run', label: 'Nothing was run or cleaned today', no: 'special' },
          { id: 'sterile', label: 'The swab is sterile, its seal was whole', no: 'invalid' },
        ],
      },
    },
    {
      id: 'turns',
      say: 'Turn the swab over the whole surface, inside of the outlet and all',
      why: 'What grows there sits in patches.',
      source: practice,
      departed: 'special',
      act: { type: 'confirm' },
    },
    fill('Break it off into its tube with a little of the water', 'It must not dry.'),
    after[1]!,
  ],
};

/** Where people are ill, at what is no plain outlet: the same before the first bottle, then as it is sampled anyway. */
const inAnOutbreak = (id: string, title: string, says: string, like: Protocol): Protocol => ({
  ...like,
  id,
  edition: '2026-1',
  from: '2026-11-30',
  title,
  way: { of: 'legionella', says },
  steps: [outbreak, ...like.steps],
});

/** A shower as before; who is vulnerable does not take the sample, nor stand by. */
export const legionellaShower2: Protocol = {
  ...legionellaShower,
  edition: '2026-2',
  from: '2026-11-30',
  steps: legionellaShower.steps.map((step) =>
    step.id === 'spray'
      ? {
          ...step,
          caution: `${aerosol} Vulnerable people do not sample or stay nearby. Your employer’s rules come first.`,
        }
      : step,
  ),
};
export const legionellaOutbreakShower = inAnOutbreak(
  'legionella-outbreak-shower',
  'Legionella at a shower, in an outbreak',
  'People are ill: the first water of the shower, before anything is changed.',
  legionellaShower2,
);
export const legionellaOutbreakTank = inAnOutbreak(
  'legionella-outbreak-tank',
  'Legionella out of a tank, in an outbreak',
  'People are ill: dipped out of the tank, before anything is changed.',
  legionellaTank,
);
export const legionellaOutbreakSwab = inAnOutbreak(
  'legionella-outbreak-swab',
  'Legionella, swab of a surface, in an outbreak',
  'People are ill: a swab for the public-health lab, before anything is changed.',
  legionellaSwab,
);

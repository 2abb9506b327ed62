import type { Protocol, Step, StepAct, Stop } from '../protocol.ts';
import { coliformsDistribution2 } from './coliforms-distribution-2.ts';

const practice = 'Common practice';
const iso = 'ISO 19458:2006 (from memory)';
const of = 'coliforms-distribution';

const special = (say: string, advice: string, source = practice): Stop => ({ outcome: 'special', say, advice, source });

/** A step of the second edition, with what is another here. */
export const step = (id: string, change: Partial<Step> = {}): Step => ({
  ...coliformsDistribution2.steps.find((one) => one.id === id)!,
  ...change,
});

/** Free chlorine that must not be there; 0.05 mg/L is what a photometer may show of none. Common practice. */
export const mustBeZero = (outcome: Stop['outcome'], say: string, advice: string): StepAct => ({
  type: 'measure',
  parameter: 'freeChlorine',
  unit: 'mg/L',
  stops: [{ above: 0.05, outcome, say, advice, source: practice }],
});

/** Disinfected for a time: nobody knows yet whether that is over. */
const temporary: Step = {
  id: 'temporary',
  say: 'Ask whether the chlorination is over',
  why: 'While water is chlorinated for a time, a sample tells how that goes and not how the water is.',
  source: practice,
  where: { by: { kind: 'temporary' } },
  departed: 'special',
  act: {
    type: 'checks',
    items: [
      {
        id: 'over',
        label: 'The operator says it is over, and the water is as usual again',
        stop: special('Chlorinated for a time still.', 'Come back when it is over, or go on as a special sample.'),
      },
    ],
  },
};

const hold = (where: Step['where']): Partial<Step> => (where ? { where } : {});
const atDeadEnd = { trait: { id: 'dead-end' } } as const;
const elsewhere = { trait: { id: 'dead-end', not: true } } as const;

/** Warmer than a main usually is: hot water, or a house that was not flushed. Common practice. */
const notCold = { above: 25, says: 'Over 25 °C is warm for a main: is it the cold tap, and has it run long enough?' };

/** Two minutes or more; at a dead end five, and until the temperature holds. */
export const flushing: readonly Step[] = [
  step('flush', hold(elsewhere)),
  step('flush', {
    id: 'flush-dead-end',
    where: atDeadEnd,
    why: 'At a dead end the water has stood in the main itself, not in the house alone.',
    source: 'Five minutes or more at a dead end: common practice',
    act: { type: 'clock', least: 300, usual: '5 min or longer at a dead end' },
  }),
  step('temperature', { ...hold(elsewhere), act: { type: 'measure', parameter: 'temperature', unit: 'degC', stops: [], asked: notCold } }),
  step('temperature', {
    id: 'temperature-holds',
    say: 'Measure the water temperature until it holds',
    where: atDeadEnd,
    departed: 'special',
    act: { type: 'constant', parameter: 'temperature', unit: 'degC', within: 0.5, count: 3 },
  }),
];

const byChloramine = { by: { kind: 'chloramine' } } as const;
const notByChloramine = { by: { kind: 'chloramine', not: true } } as const;

/** Free chlorine; where the water is disinfected by chloramine there is none, and the total is measured. */
export const residuals: readonly Step[] = [
  step('residual', { where: notByChloramine }),
  {
    id: 'residual-total',
    say: 'Measure total chlorine',
    why: 'Chloramine does not show as free chlorine: what holds here is the total.',
    source: '40 CFR 141.65(b): chloramine at most 4.0 mg/L as chlorine, a yearly mean (from memory); the operator’s own least comes first',
    where: byChloramine,
    departed: 'special',
    act: {
      type: 'measure',
      parameter: 'totalChlorine',
      unit: 'mg/L',
      stops: [
        {
          below: 'residual-minimum',
          ...special(
            'The residual is too low for a routine sample.',
            'Tell the operator now. Go on as a special sample, or come back once the residual is restored.',
          ),
        },
        { above: 4, ...special('Over 4 mg/L: more than a network with chloramine may hold.', 'Call the operator now.') },
      ],
    },
  },
];

/** Chlorine again after bleach, by the number that was measured before. */
const again: readonly Step[] = [
  step('residual-again', { where: notByChloramine }),
  step('residual-again', {
    id: 'residual-total-again',
    say: 'Measure total chlorine again',
    where: byChloramine,
    act: {
      type: 'measure',
      parameter: 'totalChlorine',
      unit: 'mg/L',
      stops: [
        {
          aboveStep: 'residual-total',
          outcome: 'invalid',
          say: 'More chlorine than before: the bleach is not rinsed off.',
          advice: 'Rinse on and measure again before you write this down. A bottle filled now proves nothing.',
          source: practice,
        },
      ],
    },
  }),
];

const disinfect = step('disinfect', {
  act: {
    type: 'choose',
    options: [
      { id: 'alcohol', label: 'Alcohol, 70 %, wiped or sprayed', caution: 'No flame near alcohol or its vapour.' },
      { id: 'bleach', label: 'Bleach, 1 : 10', caution: 'Never with acid or ammonia. Ventilate, gloves, eye protection.' },
      {
        id: 'flame',
        label: 'Flame',
        caution: 'Never after alcohol. No plastic parts, nothing that burns behind or below.',
        where: { trait: { id: 'no-flame', not: true } },
      },
    ],
  },
});

export const disinfecting: readonly Step[] = [
  disinfect,
  ...['flame-safe', 'flame', 'contact', 'rinse-off', 'rinse-bleach'].map((id) => step(id)),
];
export const filling: readonly Step[] = ['stream', 'fill', 'cold', 'put-back'].map((id) => step(id));

const before: readonly Step[] = [temporary, step('fitness'), step('strip'), step('hands')];
const shared = { from: '2026-11-23', analysis: 'coliforms', freshFor: 3600 } as const;
const network = { origins: ['network'] } as const;

/** The water of the main, in the order of most rules. What is said of ISO 19458 and the WHO Guidelines is from memory. */
export const coliformsDistribution3: Protocol = {
  ...coliformsDistribution2,
  edition: '2026-3',
  from: '2026-11-23',
  where: network,
  way: { of, says: 'Fittings off; flushed, tested, disinfected, rinsed, filled (ISO 19458, purpose a).' },
  steps: [...before, ...flushing, ...residuals, ...disinfecting, ...again, ...filling],
};

/** As above with the outlet disinfected first: what rinses it off is the flush, and the valve is not turned after the test. */
export const coliformsOutletFirst: Protocol = {
  ...shared,
  id: 'coliforms-outlet-first',
  edition: '2026-1',
  title: 'Coliforms, outlet disinfected first',
  source: `${iso}, purpose a; common practice`,
  where: network,
  way: { of, says: 'The same water by the other order: disinfected, flushed, tested, filled. The valve is closed between.' },
  steps: [
    ...before,
    ...disinfecting.filter(({ id }) => !id.startsWith('rinse')),
    ...flushing.map((one) => ({ ...one, departed: 'invalid' as const, why: 'It rinses off what disinfected, and brings the main.' })),
    ...residuals,
    ...filling,
  ],
};

/** What a house makes of the water on the way to its tap. */
export const coliformsAtTheTap: Protocol = {
  ...shared,
  id: 'coliforms-at-the-tap',
  edition: '2026-1',
  title: 'Coliforms, the water of the tap',
  source: `${iso}, purpose b; common practice`,
  where: network,
  way: { of, says: 'Fittings off and disinfected, but not flushed: what the pipes of the house make of it (purpose b).' },
  steps: [
    ...before,
    ...disinfecting.filter(({ id }) => id !== 'rinse-bleach' && id !== 'rinse-off'),
    step('rinse-off', {
      say: 'Open, and rinse no longer than it takes to get the disinfectant off',
      why: 'What stood in the pipes of the house is what is looked for: long flushing takes it away.',
      act: { type: 'clock', least: 20, usual: 'about 20 s' },
      departed: 'invalid',
      when: { step: 'disinfect', chosen: ['alcohol', 'flame'] },
    }),
    step('rinse-bleach', { departed: 'invalid' }),
    ...residuals.map((one) => ({ ...one, departed: 'noted' as const })),
    ...filling.filter(({ id }) => id !== 'stream'),
  ],
};

/** As somebody drinks it. */
export const coliformsAsDrunk: Protocol = {
  ...shared,
  id: 'coliforms-as-drunk',
  edition: '2026-1',
  title: 'Coliforms, as people drink it',
  source: `${iso}, purpose c; common practice`,
  where: network,
  way: { of, says: 'Nothing taken off, disinfected or run before: what somebody drinks, outlet and all (purpose c).' },
  steps: [
    temporary,
    {
      id: 'as-it-is',
      say: 'Look at it and leave it as it is',
      why: 'What is cleaned or taken off now is gone from the sample.',
      source: iso,
      departed: 'special',
      act: {
        type: 'checks',
        items: [
          { id: 'fittings-on', label: 'Aerator, filter and hose are on, as it is used', no: 'special' },
          { id: 'not-run', label: 'Nothing was run or disinfected for this sample', no: 'invalid' },
        ],
      },
    },
    step('hands'),
    step('fill', { say: 'Open as for a glass of water and fill the bottle' }),
    ...residuals.map((one) => ({ ...one, departed: 'noted' as const, why: 'After the bottle: it takes water that was to be in it.' })),
    step('cold'),
  ],
};

/** Water of a source before anything is done to it; what is asked for at each well in use after bacteria in the network. */
export const coliformsRaw: Protocol = {
  ...shared,
  id: 'coliforms-raw',
  edition: '2026-1',
  title: 'Coliforms, raw water',
  source: '40 CFR 141.402 (from memory), ISO 19458:2006 (from memory); common practice',
  where: { origins: ['raw'] },
  way: { of, says: 'Before any chlorine: the residual has to read zero.' },
  steps: [
    step('fitness', {
      say: 'Look at the outlet',
      why: 'Only an outlet before all treatment tells of the source.',
      act: {
        type: 'checks',
        items: [
          { id: 'outlet-down', label: 'Outlet faces down, clean and not leaking', no: 'special' },
          {
            id: 'no-treatment',
            label: 'Nothing is dosed or filtered before it',
            stop: {
              outcome: 'abandoned',
              say: 'Behind treatment it is no raw water.',
              advice: 'Take the tap before it, and start again there.',
              source: practice,
            },
          },
          { id: 'in-use', label: 'The pump runs, or the source flows, since before you came', no: 'special' },
        ],
      },
    }),
    step('strip', { say: 'Take off what is screwed or clipped on' }),
    step('hands'),
    step('flush', {
      say: 'Let the water run, full and steady',
      why: 'The sample is to come out of the ground, not from pipe or spout.',
    }),
    step('temperature', { why: 'A temperature that no longer changes says that fresh water has arrived.' }),
    step('residual', {
      say: 'Measure free chlorine: it must be zero',
      why: 'Zero is the proof that this is raw water.',
      source: practice,
      act: mustBeZero(
        'invalid',
        'Chlorine in raw water: the wrong tap, or the well was chlorinated.',
        'Find the tap before the dosing. After a shock chlorination take no sample until it reads zero.',
      ),
    }),
    ...disinfecting,
    step('residual-again'),
    ...filling,
  ],
};

import type { Protocol, Step } from '../protocol.ts';
import { coliformsDistribution } from './coliforms-distribution.ts';

const practice = 'Common practice';

/** A step of the first edition with what is new in the second. */
const changed = (id: string, change: Partial<Step>): Step => ({
  ...coliformsDistribution.steps.find((step) => step.id === id)!,
  ...change,
});

const fittingFor = (say: string, why: string) => ({ outcome: 'special', say, advice: why, source: practice }) as const;

/**
 * As before; each step says what a departure from it makes of the sample. After bleach longer, and chlorine is read again. What is said
 * of ISO 19458 and of the WHO Guidelines is from memory; what a departure makes of the sample is common practice.
 */
export const coliformsDistribution2: Protocol = {
  ...coliformsDistribution,
  edition: '2026-2',
  source: 'ISO 19458:2006, purpose a; WHO Guidelines for drinking-water quality, 4th ed.; common practice',
  freshFor: 3600,
  steps: [
    changed('fitness', {
      departed: 'special',
      undisinfected: {
        say: 'Look at the outlet',
        why: 'An outlet that drips, swivels or stands behind a filter tells about itself, not about the water of the ground.',
      },
      act: {
        type: 'checks',
        items: [
          { id: 'outlet-down', label: 'Outlet faces down, clean and not leaking', no: 'special' },
          {
            id: 'no-treatment',
            label: 'No softener, filter or hose before it',
            stop: {
              outcome: 'abandoned',
              say: 'Treated or hosed water is not the water of the main.',
              advice: 'Take the alternative tap of the plan, or bypass the device and start again.',
              source: practice,
            },
          },
          { id: 'in-use', label: 'The connection is in use', no: 'special' },
        ],
      },
    }),
    changed('strip', {
      departed: 'special',
      source: 'ISO 19458:2006, purpose a',
      undisinfected: { say: 'Take off what is screwed or clipped on' },
    }),
    changed('hands', { departed: 'noted' }),
    changed('flush', {
      departed: 'special',
      undisinfected: { say: 'Let the water run, full and steady', why: 'The sample is to come out of the ground, not from pipe or spout.' },
    }),
    changed('temperature', {
      departed: 'noted',
      undisinfected: { why: 'A temperature that no longer changes says that fresh water has arrived.' },
      act: { type: 'measure', parameter: 'temperature', unit: 'degC', stops: [] },
    }),
    changed('residual', {
      departed: 'special',
      undisinfected: { say: 'Measure free chlorine: it must be zero', why: 'Zero is the proof that this is raw water.' },
      source:
        'WHO Guidelines, 4th ed.: at least 0.2 mg/L at the point of delivery, at most 5 mg/L for health; the operator’s own least comes first',
      act: {
        type: 'measure',
        parameter: 'freeChlorine',
        unit: 'mg/L',
        stops: [
          {
            below: 'residual-minimum',
            outcome: 'special',
            say: 'The residual is too low for a routine sample.',
            advice: 'Tell the operator now. Go on as a special sample, or come back once the residual is restored.',
            source: practice,
          },
          {
            above: 0.05,
            where: 'undisinfected',
            ...fittingFor(
              'Chlorine in water that is said to have none.',
              'Is it the right tap, or was the well chlorinated? No sample until it reads zero, or go on as a special one and say so.',
            ),
          },
          {
            above: 5,
            ...fittingFor(
              'Over 5 mg/L: more than is safe to drink (WHO).',
              'Call the operator now. After a shock chlorination no routine sample until the residual is back where it was.',
            ),
          },
        ],
      },
    }),
    changed('disinfect', { departed: 'special', source: 'ISO 19458:2006; flame is quickest but damages taps: schools differ' }),
    changed('flame-safe', { departed: 'invalid', isNeeded: true }),
    changed('flame', { departed: 'special' }),
    changed('contact', { departed: 'special' }),
    changed('rinse-off', {
      departed: 'invalid',
      when: { step: 'disinfect', chosen: ['alcohol', 'flame'] },
    }),
    changed('rinse-off', {
      id: 'rinse-bleach',
      departed: 'invalid',
      source: 'At least two minutes after bleach: common practice',
      when: { step: 'disinfect', chosen: ['bleach'] },
      act: { type: 'clock', least: 120, usual: 'at least 2 min after bleach' },
    }),
    {
      id: 'residual-again',
      say: 'Measure free chlorine again',
      why: 'More than before is bleach that is still there: it would kill in the bottle what the lab looks for.',
      source: practice,
      when: { step: 'disinfect', chosen: ['bleach'] },
      departed: 'special',
      act: {
        type: 'measure',
        parameter: 'freeChlorine',
        unit: 'mg/L',
        stops: [
          {
            aboveStep: 'residual',
            outcome: 'invalid',
            say: 'More chlorine than before: the bleach is not rinsed off.',
            advice: 'Rinse on and measure again before you write this down. A bottle filled now proves nothing.',
            source: practice,
          },
        ],
      },
    },
    changed('stream', { departed: 'special' }),
    changed('fill', { departed: 'special', source: 'ISO 19458:2006' }),
    changed('cold', { departed: 'special', source: 'ISO 19458:2006' }),
    changed('put-back', { departed: 'noted' }),
  ],
};

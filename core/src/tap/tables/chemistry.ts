import type { AnalysisId } from '../../bottles/index.ts';
import type { Protocol } from '../protocol.ts';
import { mustBeZero, step } from './coliforms-ways.ts';

const practice = 'Common practice';
const nfm = 'USGS National Field Manual, chapter A4 (from memory)';

/** Whatever flushes the tap for its own bottles does so for these too. */
const flushed: readonly AnalysisId[] = ['coliforms', 'pfas533', 'pfas537', 'trihalomethanes', 'volatiles', 'radon'];

/** Salts, nutrients and metals at a tap: fresh water, bottles by their cards. */
export const chemistryTap: Protocol = {
  id: 'chemistry-tap',
  edition: '2026-1',
  from: '2026-11-24',
  title: 'Chemistry at a tap',
  source: `${nfm}; common practice`,
  analysis: 'general',
  also: ['nutrients', 'metals', 'totalMetals', 'anions', 'nitratePreserved', 'fluoride', 'alkalinity', 'hardness', 'silica', 'phosphorus'],
  ridesWith: flushed,
  freshFor: 3600,
  steps: [
    {
      id: 'outlet',
      say: 'Look at the outlet',
      why: 'A softener, a filter or a hose changes what is measured.',
      source: practice,
      departed: 'special',
      act: {
        type: 'checks',
        items: [
          { id: 'untreated', label: 'No softener, filter or hose before it', no: 'special' },
          { id: 'aerator', label: 'Aerator off, cold water only', no: 'noted' },
        ],
      },
    },
    step('flush', { where: {}, departed: 'special', why: 'Metals come out of the pipes of the house while water stands in them.' }),
    {
      id: 'holds',
      say: 'Measure the temperature until it holds',
      why: 'A temperature that holds says that fresh water has arrived.',
      source: practice,
      departed: 'noted',
      act: { type: 'constant', parameter: 'temperature', unit: 'degC', within: 0.5, count: 3 },
    },
    {
      id: 'metals',
      say: 'At a tap metals are total: nothing is filtered',
      why: 'People drink what is dissolved and what is not. Filter only a bottle whose card says so.',
      source: practice,
      departed: 'noted',
      act: { type: 'confirm' },
    },
    {
      id: 'fill',
      say: 'Fill the bottles in their order, each by its card',
      why: 'Never rinse or overfill one that holds a preservative.',
      source: nfm,
      caution: 'Acid in preserved bottles: gloves, eye protection, open slowly.',
      departed: 'invalid',
      act: { type: 'fill', analysis: 'general' },
    },
    {
      id: 'cold',
      say: 'Into the cooler, in the dark',
      why: 'Nutrients are eaten in the warm.',
      source: practice,
      departed: 'special',
      act: { type: 'confirm' },
    },
  ],
};

/** Bacteria at a well, out of the pump's own water once it was purged. */
export const coliformsWell: Protocol = {
  id: 'coliforms-well',
  edition: '2026-1',
  from: '2026-11-24',
  title: 'Coliforms at a well',
  source: `${nfm}; ISO 5667-11 (from memory); common practice`,
  at: ['well'],
  analysis: 'coliforms',
  freshFor: 3600,
  steps: [
    {
      id: 'outlet',
      say: 'Where does the water come out?',
      why: 'Whatever it runs over on the way gets into the bottle.',
      source: nfm,
      departed: 'special',
      act: {
        type: 'choose',
        options: [
          { id: 'tap', label: 'A sampling tap at the head of the well' },
          { id: 'manifold', label: 'A manifold or tubing that was sterilised' },
          { id: 'bailer', label: 'A sterile bailer, opened only now' },
        ],
      },
    },
    {
      id: 'steady',
      say: 'Leave the pump running at the rate of the purge',
      why: 'A pump that is switched shakes the well.',
      source: nfm,
      when: { step: 'outlet', chosen: ['tap', 'manifold'] },
      departed: 'special',
      act: { type: 'confirm' },
    },
    {
      id: 'cell',
      say: 'Flow cell and meter off the line',
      why: 'What is in their tubing is not what the well gives.',
      source: nfm,
      when: { step: 'outlet', chosen: ['tap', 'manifold'] },
      departed: 'invalid',
      act: { type: 'confirm' },
    },
    step('hands'),
    {
      id: 'disinfect',
      say: 'Disinfect the outlet: alcohol or bleach, wait',
      why: 'What lives on the outlet must not get into the bottle.',
      source: 'Two to three minutes: common practice',
      when: { step: 'outlet', chosen: ['tap', 'manifold'] },
      caution: 'No flame near fuel, alcohol or their vapour. Bleach never with acid or ammonia.',
      departed: 'special',
      act: { type: 'clock', least: 120, usual: '2 to 3 min' },
    },
    {
      id: 'rinse',
      say: 'Let it run until the disinfectant is gone',
      why: 'It would kill in the bottle what is looked for.',
      source: 'At least two minutes after bleach: common practice',
      when: { step: 'outlet', chosen: ['tap', 'manifold'] },
      departed: 'invalid',
      act: { type: 'clock', least: 120, usual: 'at least 2 min' },
    },
    {
      id: 'residual',
      say: 'Measure free chlorine: it must be zero',
      why: 'Zero says that no disinfectant is left, of yours or of the well’s.',
      source: practice,
      departed: 'special',
      act: mustBeZero(
        'invalid',
        'There is chlorine in it: not rinsed off, or the well was chlorinated.',
        'Rinse on and measure again before you write this down. After a shock chlorination wait until it reads zero.',
      ),
    },
    step('fill', { say: 'Fill the bacteria first', why: 'Open it only now; air left over it. The other bottles come after.' }),
    step('cold'),
  ],
};

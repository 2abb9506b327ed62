import type { Protocol, Step } from '../protocol.ts';
import { leadTimed2 } from './lead-timed.ts';
import { leadFifthLitre, leadFirstLitre, leadRandom } from './lead-ways.ts';

const fifth = '40 CFR 141.86(b)(3) (from memory): first and fifth litre at a lead service line';
const step = (id: string): Step => leadFifthLitre.steps.find((one) => one.id === id)!;

/** First and fifth litre of one tap, in one go: bottle after bottle under a stream that is never closed. */
export const leadFirstAndFifth: Protocol = {
  id: 'lead-first-and-fifth',
  edition: '2026-1',
  from: '2026-11-23',
  title: 'Lead, first and fifth litre in one go',
  analysis: 'leadFifth',
  source: `${fifth}; common practice`,
  freshFor: 600,
  steps: [
    step('fitness'),
    step('stood'),
    {
      id: 'five-bottles',
      say: 'Line up five 1 L bottles, numbered 1 to 5, open',
      why: 'The tap stays open in between: each bottle must be ready when the one before is full.',
      source: fifth,
      departed: 'noted',
      act: { type: 'confirm' },
    },
    {
      id: 'fill-first',
      say: 'Open slowly; all of the first water into bottle 1. Do not close the tap',
      why: 'What stood in the tap and the pipe next to it comes first. Nothing may run by.',
      source: fifth,
      departed: 'invalid',
      act: { type: 'fill', analysis: 'lead' },
    },
    {
      id: 'between',
      say: 'Fill bottles 2, 3 and 4, one after the other, without closing the tap',
      why: 'Their water stood in the pipes of the house. A tap that is closed between mixes them with what comes behind.',
      source: fifth,
      departed: 'invalid',
      act: { type: 'times', least: 3 },
    },
    {
      id: 'fill-fifth',
      say: 'Fill bottle 5, then close the tap',
      why: 'Its water stood in the line to the house.',
      source: fifth,
      departed: 'invalid',
      act: { type: 'fill', analysis: 'leadFifth' },
    },
    step('put-back'),
  ],
};

/** A way as before, which is gone where the first and the fifth litre are not asked for together. */
const alone = (before: Protocol, change: Partial<Protocol> = {}): Protocol => ({
  ...before,
  from: '2026-12-01',
  edition: before.edition === '2026-1' ? '2026-2' : '2026-3',
  ridesWith: ['leadFifth'],
  ...change,
});

/** As before; water that stood for longer than 45 minutes is another sample, and not a spoilt one. */
export const leadTimed3 = alone(leadTimed2, {
  steps: leadTimed2.steps.map((one): Step => (one.id === 'standing' ? { ...one, overrun: 'special' } : one)),
});
export const leadFirstLitre2 = alone(leadFirstLitre);
export const leadFifthLitre2 = alone(leadFifthLitre, {
  way: {
    of: 'lead-timed',
    says: 'The fifth litre alone, of a tap that stood for six hours. Ask for “Lead, first and fifth litre” to take both in one go.',
  },
});
export const leadRandom2 = alone(leadRandom);

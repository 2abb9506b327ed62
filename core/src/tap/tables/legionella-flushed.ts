import type { Protocol, Step } from '../protocol.ts';
import { goingBack } from './go-back.ts';
import { legionellaPostFlush } from './legionella.ts';

const postFlush = goingBack(legionellaPostFlush, '2026-2');

/** As before; where the outlet is sampled before flushing too, it is a run of its own in the same visit. */
export const legionellaPostFlush3: Protocol = { ...postFlush, edition: '2026-3', from: '2026-12-01', ridesWith: ['legionellaFlushed'] };

const { way: _alone, ...flushed } = postFlush;

/** Water out of the system, behind an outlet whose first water was taken just before. */
export const legionellaFlushed: Protocol = {
  ...flushed,
  id: 'legionella-flushed',
  edition: '2026-1',
  from: '2026-11-23',
  analysis: 'legionellaFlushed',
  steps: postFlush.steps.map((step): Step =>
    step.act.type === 'fill' ? { ...step, act: { type: 'fill', analysis: 'legionellaFlushed' } } : step,
  ),
};

import type { PurgeMethod } from './method.ts';

/** A supply well with its own pump: what comes out of the raw tap is the aquifer's once the readings hold. */
export const running: PurgeMethod<'running'> = {
  id: 'running',
  title: 'Supply well that runs',
  meantFor: 'Wells with a pump of their own, sampled at the raw tap',
  source: 'Already running, or run until the readings are stable: common practice',
  needsLevel: false,
  aim: () => null,
};

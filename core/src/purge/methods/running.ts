import type { PurgeMethod } from './method.ts';

/** A supply well with its own pump: what comes out of the raw tap is the aquifer's once the readings hold. */
export const running: PurgeMethod<'running'> = {
  id: 'running',
  title: 'Supply well that runs',
  meantFor: 'Wells with a pump of their own, sampled at the raw tap',
  source: 'Already running, or run until the readings are stable: common practice',
  needsLevel: false,
  judges: true,
  counts: false,
  aim: () => null,
  conditions: () => [],
};

/** No purge: grab samples, passive samplers, springs. The reason says why. */
export const none: PurgeMethod<'none'> = {
  id: 'none',
  title: 'No purge',
  meantFor: 'Where purging would do harm or is not asked for: passive samplers, springs, emergencies. The reason goes with the sample',
  source: 'Common practice',
  needsLevel: false,
  judges: false,
  counts: false,
  aim: () => null,
  conditions: () => [],
};

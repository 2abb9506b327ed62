import type { PurgeMethodId } from '../entries.ts';
import { dry } from './dry.ts';
import { lowFlow, steadyLevel } from './low-flow.ts';
import type { PurgeMethod } from './method.ts';
import { none, running } from './running.ts';
import { volumes } from './volumes.ts';

export type { Condition, Progress, PurgeAim, PurgeMethod } from './method.ts';
export { classicDrawdown, classicFlow } from './low-flow.ts';
export { dryHours } from './dry.ts';

/** Every method, the usual one first. */
export const purgeMethods = { volumes, 'low-flow': lowFlow, 'steady-level': steadyLevel, dry, running, none } as const satisfies Record<
  PurgeMethodId,
  object
>;
export const purgeMethodIds = Object.keys(purgeMethods) as PurgeMethodId[];

/** A method, whichever it is. */
export const purgeMethod = (id: PurgeMethodId): PurgeMethod => purgeMethods[id] as unknown as PurgeMethod;

import type { PurgeMethodId } from '../entries.ts';
import type { PurgeMethod } from './method.ts';
import { running } from './running.ts';
import { volumes } from './volumes.ts';

export type { PurgeAim, PurgeMethod } from './method.ts';

/** Every method, the usual one first. */
export const purgeMethods = { volumes, running } as const satisfies Record<PurgeMethodId, object>;
export const purgeMethodIds = Object.keys(purgeMethods) as PurgeMethodId[];

/** A method, whichever it is. */
export const purgeMethod = (id: PurgeMethodId): PurgeMethod => purgeMethods[id] as unknown as PurgeMethod;

import { z } from 'zod';
import type { ParameterId } from '../parameters/index.ts';
import { methods, type MethodRow } from './tables/methods.ts';

export type { GuideStep, MethodRow } from './tables/methods.ts';
export type MethodId = keyof typeof methods;
export const methodIds = Object.keys(methods) as [MethodId, ...MethodId[]];
export const MethodId = z.enum(methodIds);
export const method = (id: MethodId): MethodRow => methods[id];

/** The methods for a parameter, in the order of the table. */
export const methodsFor = (parameter: ParameterId): MethodId[] => methodIds.filter((id) => methods[id].parameter === parameter);

/** Whether a reading of it waits for a reagent. */
export const hasClock = (id: MethodId): boolean => method(id).clock !== undefined;

import { z } from 'zod';
import { cultureMethods, type CultureRow } from './tables/methods.ts';

export type { CultureRow } from './tables/methods.ts';
export type CultureMethod = keyof typeof cultureMethods;
export const cultureMethodIds = Object.keys(cultureMethods) as [CultureMethod, ...CultureMethod[]];
export const CultureMethod = z.enum(cultureMethodIds);
export const cultureMethod = (id: CultureMethod): CultureRow => cultureMethods[id];

import { z } from 'zod';
import { criteria, type Criterion, type Tolerance } from './tables/criteria.ts';

export type { Criterion, Tolerance };
export type CriterionId = keyof typeof criteria;
export const criterionIds = Object.keys(criteria) as [CriterionId, ...CriterionId[]];
export const CriterionId = z.enum(criterionIds);

export function criterion(id: CriterionId): Criterion {
  return criteria[id];
}

import type { OwnCriterion } from '../../registers/index.ts';
import type { Criterion } from './criterion.ts';

/** The name by which a set-up calls a criterion of one's own. */
export const refOfOwn = ({ id }: Pick<OwnCriterion, 'id'>): string => `own@${id}`;

/** A criterion of one's own as the engine takes it. */
export function criterionOf({ id, name, sets, against, seconds, volumes, tolerances, source }: OwnCriterion): Criterion {
  return {
    id: 'own',
    edition: id,
    from: '2020-01-01',
    name,
    sets,
    against,
    between: { seconds, ...(volumes === undefined ? {} : { volumes }) },
    tolerances: tolerances.map(({ parameter, absolute, percent, floor }) => ({
      parameter,
      ...(absolute === undefined ? {} : { absolute }),
      ...(percent === undefined ? {} : { percent }),
      ...(floor === undefined ? {} : { floor }),
    })),
    source,
  };
}

import { estimateStable } from '@fonte/core/purge';
import { expose } from 'comlink';

/** Foretells beside the page when a purge will be stable. */
const estimator = { estimate: estimateStable };
export type Estimator = typeof estimator;

expose(estimator);

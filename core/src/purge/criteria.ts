export { criteria, type Criterion, type Tolerance } from './tables/criteria.ts';

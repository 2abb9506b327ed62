export { useDayOf } from './useDayOf.ts';

import { proposeDay } from '@fonte/core/day';
import { expose } from 'comlink';

/** Weighs the orders of a day beside the page, which stays quick meanwhile. */
const planner = { propose: proposeDay };
export type Planner = typeof planner;

expose(planner);

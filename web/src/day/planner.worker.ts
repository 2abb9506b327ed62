import { proposeOrder, remediesFor } from '@fonte/core/day';
import { expose } from 'comlink';

/** Weighs the orders of a day beside the page, which stays quick meanwhile. */
const planner = { propose: proposeOrder, help: remediesFor };
export type Planner = typeof planner;

expose(planner);

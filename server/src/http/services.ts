import type { Clock } from '@fonte/core/time';
import type { Logger } from 'pino';
import type { Store } from '../store/index.ts';

/** What every route may work with. A room that needs more says so itself. */
export interface Services {
  store: Store;
  clock: Clock;
  log: Logger;
}

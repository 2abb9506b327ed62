import type { Doorkeeper, Route } from '../http/index.ts';
import { Access, type AccessServices } from './access.ts';
import { demoRoutes, doorRoutes } from './door.ts';
import { passkeyRoutes } from './passkey-routes.ts';
import { peopleRoutes } from './people.ts';
import { Sessions } from './sessions.ts';

/** Tells who asks, for every route. */
export function doorkeeper({ store, clock }: Pick<AccessServices, 'store' | 'clock'>): Doorkeeper {
  const sessions = new Sessions(store, clock);
  return (request) => sessions.of(request);
}

export function accessRoutes(services: AccessServices): Route[] {
  const access = new Access(services);
  return [...doorRoutes(access), ...passkeyRoutes(access), ...peopleRoutes(access), ...(services.demo === null ? [] : demoRoutes(access))];
}

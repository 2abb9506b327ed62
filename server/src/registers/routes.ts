import { pointPlaces, registered, registerLists, registerNames } from '@fonte/core/registers';
import { Problem, route, JsonText, type Route, type Services } from '../http/index.ts';
import { thing } from '../book/registry.ts';
import { listPlaces, listThings } from './things.ts';

export const registerRoutes = ({ store }: Pick<Services, 'store'>): Route[] => [
  route(pointPlaces, () => listPlaces(store)),
  ...registerNames.flatMap((name) => [
    route(registerLists[name], async ({ query }) => new JsonText(await listThings(store, name, query))),
    route(registered[name], async ({ in: { id } }) => {
      const found = await thing(store, name, id);
      if (!found) throw new Problem(404, 'no-thing', 'There is no such thing in the register.');
      return found;
    }),
  ]),
];

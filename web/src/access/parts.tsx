import { later } from '../feedback/later.tsx';

/*
 * Each part is fetched where it is drawn: whoever is signed in has no need of the door, and the first page none of a form.
 */

/** Where nobody is signed in: signing in, setting the server up, coming in by a link. */
export const Door = later(
  async () => (await import('./Door.tsx')).Door,
  (failed) => (failed ? <p role="alert">No connection: nobody can sign in now.</p> : null),
);
/** Who goes on with this device. */
export const PersonMenu = later(
  async () => (await import('./PersonMenu.tsx')).PersonMenu,
  () => null,
);
/** What coordinators have to know of the house, and anybody of their way in. */
export const House = later(
  async () => (await import('./House.tsx')).House,
  () => null,
);

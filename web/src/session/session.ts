import type { Me, Session as Told } from '@fonte/core/access';
import type { Person } from '@fonte/core/registers';
import { createContext, useContext } from 'react';

/** Who is signed in here, and so writes. */
export interface Session {
  me: Me;
  people: Person[];
  demo: boolean;
  /** It is known from this device only: the server was not reached since the page was opened. */
  isFromDisk: boolean;
  /** Goes on as another person of this device, who has shown who they are. */
  become: (person: string) => Promise<void>;
  /** Goes on with what the server has just told of who is signed in. */
  enter: (told: Told) => Promise<void>;
  signOut: (everywhere: boolean) => Promise<void>;
  /** Asks the server again who is signed in, and what time it is. */
  renew: () => Promise<void>;
}

export const SessionContext = createContext<Session | null>(null);

export function useSession(): Session {
  const session = useContext(SessionContext);
  if (!session) throw new Error('There is no session around this component.');
  return session;
}

export function useMe(): Person {
  return useSession().me.person;
}

import type { Person } from '@fonte/core/registers';
import { createContext, useContext } from 'react';

/** Who writes here. The one place that decides whose name stands on an entry, until there are accounts. */
export interface Session {
  author: string;
  people: Person[];
  demo: boolean;
  /** Takes up the server's clock after the demo has moved it. */
  renew: () => Promise<void>;
}

export const SessionContext = createContext<Session | null>(null);

export function useSession(): Session {
  const session = useContext(SessionContext);
  if (!session) throw new Error('There is no session around this component.');
  return session;
}

export function useMe(): Person {
  const { author, people } = useSession();
  return (
    people.find((person) => person.id === author) ?? { id: author, name: author, initials: author.slice(0, 2).toUpperCase(), role: '' }
  );
}

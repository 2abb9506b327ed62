import { newId } from '@fonte/core/book';
import type { Person } from '@fonte/core/registers';
import { createContext, useContext } from 'react';
import { now } from '../time/clock.ts';

/** Who writes here, and on what. The one place that decides whose name stands on an entry, until there are accounts. */
export interface Session {
  author: string;
  people: Person[];
  demo: boolean;
  /** Takes another person of the register; only the demo offers it. */
  become: (person: string) => void;
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
  return people.find((person) => person.id === author) ?? { id: author, name: 'Unknown', initials: '?', role: 'reader' };
}

const deviceKey = 'fonte.device';
let device: string | null = null;

/** The name of this device in every entry: made once, and kept. */
export function deviceId(): string {
  device ??= localStorage.getItem(deviceKey);
  if (device === null) {
    device = newId(now());
    localStorage.setItem(deviceKey, device);
  }
  return device;
}

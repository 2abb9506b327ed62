import type { Askers } from '@fonte/core/endpoints';
import { roleNames, type Role } from '@fonte/core/roles';
import type { ReactNode } from 'react';
import { useMe } from './session.ts';

/** Whether whoever is signed in may do what these may: write entries of a kind, or ask at an endpoint. */
export function useMay({ by }: { by: readonly string[] | Askers }): boolean {
  const { role } = useMe();
  return by === 'anybody' || (by as readonly string[]).includes(role);
}

/** What one may not do is not offered. */
export function May({ do: what, children }: { do: { by: readonly string[] | Askers }; children: ReactNode }) {
  return useMay(what) ? children : null;
}

/** `a technician or coordinator`: who may, for those who may not. */
export function sayWho(by: readonly string[]): string {
  const names = by.filter((writer): writer is Role => writer in roleNames).map((role) => roleNames[role].toLowerCase());
  return names.length === 0 ? 'the server' : `a ${names.join(' or ')}`;
}

import { z } from 'zod';
import { entryKind, Id, roles } from '../book/index.ts';

export const Person = z.object({
  /** The person's own book. */
  id: Id,
  name: z.string().trim().min(1).max(120).meta({ title: 'Name' }),
  initials: z.string().trim().min(1).max(4).meta({ title: 'Initials' }),
  role: z.enum(roles).meta({ title: 'Role' }),
});
export type Person = z.infer<typeof Person>;

/** The first person of an installation is registered by the server; nobody is there yet who could. */
export const personRegistered = entryKind('person-registered', 'Person registered', Person, {
  stands: 'in-book',
  by: ['coordinator', 'server'],
});

import { z } from 'zod';
import { entryKind } from '../book/index.ts';

export const Person = z.object({
  id: z.string().min(1).max(60),
  name: z.string().trim().min(1).max(120),
  initials: z.string().trim().min(1).max(4),
  role: z.string().max(80),
});
export type Person = z.infer<typeof Person>;

export const personRegistered = entryKind('person-registered', 'Person registered', Person);

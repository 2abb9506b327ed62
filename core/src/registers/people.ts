import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { roles } from '../roles/index.ts';
import { trainings } from './tables/trainings.ts';

export type TrainingId = keyof typeof trainings;
export const trainingIds = Object.keys(trainings) as [TrainingId, ...TrainingId[]];
export const training = (id: TrainingId): { name: string; kinds: readonly string[] } => trainings[id];

export const Person = z.object({
  /** The person's own book. */
  id: Id,
  name: z.string().trim().min(1).max(120).meta({ title: 'Name' }),
  initials: z.string().trim().min(1).max(4).meta({ title: 'Initials' }),
  role: z.enum(roles).meta({ title: 'Role' }),
  /** What this person is trained for; not known where it is left out. */
  trained: z.array(z.enum(trainingIds)).max(trainingIds.length).meta({ title: 'Trained for' }).optional(),
  /** Access has ended, and why; what this person sends later stands set aside. */
  left: z
    .object({ at: z.iso.datetime({ precision: 3 }), reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(500) })
    .optional(),
});
export type Person = z.infer<typeof Person>;

/** The first person of an installation is registered by the server; nobody is there yet who could. */
export const personRegistered = entryKind('person-registered', 'Person registered', Person, {
  stands: 'in-book',
  by: ['coordinator', 'server'],
  // What came since may be left out.
  earlier: [{ payload: Person, upgrade: (person: Person) => person }],
});

import { z } from 'zod';

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, { error: 'A time such as 16:30.' });

/** Hours in which somebody lets one in; without days, every day. */
export const Window = z
  .object({
    /** 1 is Monday (ISO 8601). */
    weekdays: z.array(z.number().int().min(1).max(7)).max(7).meta({ title: 'Days' }).optional(),
    from: time.meta({ title: 'From' }),
    to: time.meta({ title: 'To' }),
  })
  // What is no time is refused as such.
  .refine(({ from, to }) => from.length !== 5 || to.length !== 5 || from < to, { path: ['to'], error: 'It ends before it begins.' });
export type Window = z.infer<typeof Window>;

/** Somebody to be called before a visit, and when they are there. */
export const Contact = z.object({
  name: z.string().trim().min(1).max(120).meta({ title: 'Whom to ask' }),
  call: z.string().trim().min(1).max(60).meta({ title: 'How to reach them' }).optional(),
  windows: z.array(Window).max(14).optional(),
});
export type Contact = z.infer<typeof Contact>;

/** What the siting list says of a point. */
export const Siting = z.object({
  /** Whether it may give a routine sample. */
  isRoutine: z.boolean(),
  /** The authority's own number of it. */
  number: z.string().trim().min(1).max(40).meta({ title: 'Number on the siting list' }).optional(),
});
export type Siting = z.infer<typeof Siting>;

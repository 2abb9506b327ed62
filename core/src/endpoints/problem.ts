import { z } from 'zod';

/** A refusal: a problem document (RFC 9457) with the fields that it concerns, as dotted paths in the body. */
export const ProblemDocument = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string().optional(),
  errors: z.array(z.object({ path: z.string(), message: z.string() })).default([]),
});
export type ProblemDocument = z.infer<typeof ProblemDocument>;

import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { ParameterId } from '../parameters/index.ts';
import { Mapping } from './mapping.ts';

const sha256 = z.string().regex(/^[0-9a-f]{64}$/);

/** A lab's report arrived. The file is kept beside the book under its hash. Written by the server only. */
export const reportReceived = entryKind(
  'report-received',
  'Report received',
  z.object({
    sha256,
    name: z.string().max(200),
    size: z.number().int().min(0),
    from: z.enum(['lab', 'upload']),
  }),
);

/** One result of a report, in the parameter's own unit, with what the lab wrote beside it. */
export const LabResult = z.object({
  line: z.number().int(),
  bottle: z.string(),
  parameter: ParameterId,
  form: z.enum(['value', 'below', 'above', 'present', 'absent', 'uncountable']),
  value: z.number().nullable(),
  estimated: z.boolean(),
  reportingLimit: z.number().nullable(),
  method: z.string().max(200).optional(),
  /** The cells as they stand in the file. */
  written: z.object({ result: z.string().max(200), unit: z.string().max(80), reportingLimit: z.string().max(80) }),
});
export type LabResult = z.infer<typeof LabResult>;

/** The report was read with these columns. The server reads the kept file itself. Written by the server only. */
export const reportRead = entryKind(
  'report-read',
  'Report read',
  z.object({
    sha256,
    mapping: Mapping,
    results: z.array(LabResult),
    /** Rows that were not understood. */
    unread: z.number().int().min(0),
  }),
  { strikeable: true },
);

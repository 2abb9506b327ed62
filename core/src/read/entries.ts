import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { field } from '../roles/index.ts';
import { parameter, ParameterId } from '../parameters/index.ts';
import { Mapping } from './mapping.ts';
import { fractions } from './tables/fractions.ts';
import { FilePart } from './shape/sheets.ts';
import { Unread } from './shape/table.ts';
import { Instant } from '../time/index.ts';
import { Typed } from '../units/index.ts';

const sha256 = z.string().regex(/^[0-9a-f]{64}$/);

/** Why a file could not be read: a code, and line and column counted from 1. */
export const ReadFault = z.object({ code: z.string().max(60), line: z.number().int(), column: z.number().int() });
export type ReadFault = z.infer<typeof ReadFault>;

const received = {
  sha256,
  name: z.string().max(200),
  size: z.number().int().min(0),
  /** Why it could not be read when it came; null when it could. */
  fault: ReadFault.nullable(),
};
/** At first reports came from labs and as files only. */
const firstSources = z.object({ ...received, from: z.enum(['lab', 'upload']) });

/**
 * A lab's report arrived: from the lab's desk, from the person who took it in, or typed off a sheet of paper. The file is
 * kept under its hash.
 */
export const reportReceived = entryKind(
  'report-received',
  'Report received',
  z.object({ ...received, from: z.enum(['lab', 'upload', 'typed']) }),
  {
    stands: 'in-book',
    by: ['server', ...field],
    madeBy: 'server',
    earlier: [{ payload: firstSources, upgrade: (before) => before }],
    files: ({ sha256: hash }) => [hash],
  },
);

/** A report will not be read, or not any more; it stays kept. */
export const reportPutAside = entryKind(
  'report-put-aside',
  'Report put aside',
  z.object({ sha256, reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(500) }),
  { stands: 'in-book', by: field, correction: 'strike' },
);

/** One result of a report, in the parameter's own unit, with what the lab wrote beside it. */
export const LabResult = z.object({
  line: z.number().int(),
  bottle: z.string(),
  parameter: ParameterId,
  /** Where the report says it of a metal. */
  fraction: z.enum(fractions).optional(),
  form: z.enum(['value', 'below', 'above', 'present', 'absent', 'uncountable']),
  value: z.number().nullable(),
  /** With `below` and `above`: the bound itself is meant too. */
  inclusive: z.boolean().optional(),
  estimated: z.boolean(),
  /** The lab says that it was measured too late, or not quite in order. */
  isLate: z.literal(true).optional(),
  reportingLimit: z.number().nullable(),
  detectionLimit: z.number().optional(),
  /** As the lab states it (commonly for a coverage of 95 %). */
  uncertainty: z.number().optional(),
  /** Labs do not usually find as much, or as little: the unit may be wrong. */
  unusual: z.boolean().optional(),
  /** The lab's own limit, its dilution and its day of analysis, as written. */
  labLimit: z.string().max(80).optional(),
  dilution: z.string().max(40).optional(),
  analysed: z.string().max(40).optional(),
  method: z.string().max(200).optional(),
  /** The cells as they stand in the file. */
  written: z.object({ result: z.string().max(200), unit: z.string().max(80), reportingLimit: z.string().max(80) }),
});
export type LabResult = z.infer<typeof LabResult>;

const confirmed = {
  sha256,
  mapping: Mapping,
  results: z.array(LabResult),
  /** Rows that were not understood. */
  unread: z.number().int().min(0),
  /** The first of them, with their places. */
  rows: z.array(Unread).max(200).optional(),
  /** The sheets or pages by which its lines are counted. */
  parts: z.array(FilePart).max(2000).optional(),
};
/** At first the names of the columns were not kept. */
const withoutHeader = z.object(confirmed);

/**
 * A person confirmed what a report says with these columns. The server reads the kept file itself, so that nobody can send
 * results, and a correction can strike them but not put others in their place. The names of its columns are kept as well: a
 * report of the same lab with the same ones is proposed to be read so again.
 */
export const reportRead = entryKind(
  'report-read',
  'Report read',
  z.object({ ...confirmed, header: z.array(z.string().max(200)).max(500) }),
  {
    stands: 'in-book',
    by: field,
    madeBy: 'server',
    correction: 'strike',
    earlier: [{ payload: withoutHeader, upgrade: (before: z.infer<typeof withoutHeader>) => ({ ...before, header: [] }) }],
  },
);

/** What a comparison by hand came to. */
export const handOutcomes = ['meets', 'over', 'cannot-tell'] as const;
export type HandOutcome = (typeof handOutcomes)[number];

const bottle = z.string().min(1).max(60);
const reason = z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(500).meta({ title: 'Why' });
const inTheBook = { stands: 'in-book', by: field, correction: 'replace' } as const;

/** What may be said of a result by telephone, and whether a number belongs to it. */
export const toldForms = {
  present: { name: 'Found', hasNumber: false },
  absent: { name: 'Not found', hasNumber: false },
  value: { name: 'A number', hasNumber: true },
  below: { name: 'Less than', hasNumber: true },
  above: { name: 'More than', hasNumber: true },
  uncountable: { name: 'Too many to count', hasNumber: false },
} as const;
export type ToldForm = keyof typeof toldForms;
export const toldFormIds = Object.keys(toldForms) as [ToldForm, ...ToldForm[]];

const aboutCall = {
  bottle,
  parameter: ParameterId,
  /** When it was told. */
  told: Instant,
  by: z.string().trim().min(2, { error: 'Say who told it.' }).max(120).meta({ title: 'Who told it' }),
};
/** At first a result was either found or a number in the parameter's own unit. */
const foundOrNumber = z.object({ ...aboutCall, result: Typed.nullable() });

/** The lab told a result before its report came, mostly by telephone: what must be done is due from that moment on. */
export const resultTold = entryKind(
  'result-told',
  'Result told',
  z
    .object({
      ...aboutCall,
      form: z.enum(toldFormIds, { error: 'Choose what was said.' }).meta({ title: 'What was said' }),
      /** The number or the bound, in the unit in which it was said. */
      result: Typed.nullable(),
      /** What it was expressed as, where there are several ways. */
      as: z.enum(['N', 'ion', '20', '25'], { error: 'Choose what it is expressed as.' }).optional(),
    })
    .refine(({ form, result }) => toldForms[form].hasNumber === (result !== null), { path: ['result'], error: 'Enter the number.' })
    .refine(({ parameter: id, result, as }) => result === null || as !== undefined || !parameter(id).expressedAs, {
      path: ['as'],
      error: 'Choose what it is expressed as.',
    }),
  {
    ...inTheBook,
    earlier: [
      {
        payload: foundOrNumber,
        upgrade: ({ result, ...before }: z.infer<typeof foundOrNumber>) => {
          const ways = parameter(before.parameter).expressedAs;
          return {
            ...before,
            form: result ? ('value' as const) : ('present' as const),
            result,
            ...(result && ways ? { as: 'N' in ways ? ('ion' as const) : ('25' as const) } : {}),
          };
        },
      },
    ],
  },
);

/** Results that were asked for and will not come: the round does not wait for them any more. */
export const resultsGivenUp = entryKind(
  'results-given-up',
  'Results given up',
  z.object({ bottle, parameters: z.array(ParameterId).min(1).max(60), reason }),
  inTheBook,
);

/**
 * What Fonte has no values for, a person compared with the limits on paper. `set` is the label of the sample, also where several vials
 * make it.
 */
export const comparedByHand = entryKind(
  'compared-by-hand',
  'Compared by hand',
  z.object({
    set: bottle,
    outcome: z.enum(handOutcomes, { error: 'Say what came of it.' }).meta({ title: 'Against the limits' }),
    words: z.string().trim().min(3, { error: 'Write down what the report says.' }).max(500).meta({ title: 'What the report says' }),
  }),
  inTheBook,
);

/** Rows of a report that were not understood were looked at by a person, who says why they do not matter here. */
export const rowsSettled = entryKind('rows-settled', 'Rows settled', z.object({ sha256, reason }), inTheBook);

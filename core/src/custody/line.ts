import type { AnalysisId, SampleKind, SampleReason } from '../bottles/index.ts';
import type { FieldBottle } from '../fill/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { FormFieldId, Lab } from '../registers/index.ts';

/** What a measurement says on a form: as typed, missing (null), or not asked for of this bottle. */
export type Stated = string | null | 'not-needed';

/** The labs that bottles go to, each once. */
export const labsIn = (lines: readonly Pick<FormLine, 'lab'>[]): Lab[] => [
  ...new Map(lines.flatMap(({ lab }) => (lab ? [[lab.id, lab] as const] : []))).values(),
];

/** A bottle on the form, with what its lab needs to know about it. */
export interface FormLine {
  bottle: FieldBottle;
  pointName: string;
  /** The lab it goes to; null where the round has none. */
  lab: Lab | null;
  /** The box it stands in; empty for none. */
  box: string;
  analyses: readonly AnalysisId[];
  /** The names of the analyses asked of it, and the way it was taken. */
  requests: readonly string[];
  sampleType: SampleKind;
  /** What the sample is to its lab, in words: what it was taken for, and whether it is special or spoilt. */
  type: string;
  /** It was taken because something has happened, and is no routine sample whatever it is otherwise. */
  occasion: string | null;
  /** What of the protocol departs, and what that makes of the sample. */
  reasons: readonly SampleReason[];
  /** Chlorine as the form states it, of either kind. */
  residual: Stated;
  /** Chlorine in mg/L, the most that was measured; null where none was. */
  chlorine: number | null;
  /** How long the water of a sample that wants standing water had stood, in s; null where it is not known. */
  stagnation: number | null | 'not-needed';
  /** What the form has for each field, empty where nothing is known. */
  fields: Readonly<Partial<Record<FormFieldId, string>>>;
  /** The strictest value that each of its results will be compared with, in the parameter's own unit. */
  limits: Readonly<Partial<Record<ParameterId, number>>>;
  /** A sample for compliance, not for the house's own knowledge. */
  isForCompliance: boolean;
  /** So many bottles make its sample. */
  copies: number;
  /** Blanks that its rule wants along, by their purpose, and whether one that belongs to it is on its way to the same lab. */
  blanks: readonly { name: string; isThere: boolean }[];
}

import { EntitySchema } from 'typeorm';
import { derived, integer, optionalFloat, text, type DerivedRow } from '../store/index.ts';

export interface ResultRow extends DerivedRow {
  point: string;
  bottle: string;
  parameter: string;
  form: string;
  value: number | null;
  reporting: number | null;
  verdict: string;
  sample: string;
}
export const ResultTable = new EntitySchema<ResultRow>({
  name: 'results',
  columns: {
    ...derived,
    point: text,
    bottle: text,
    parameter: text,
    form: text,
    value: optionalFloat,
    reporting: optionalFloat,
    verdict: text,
    sample: text,
  },
});

/** How a person said that columns of a lab's report are to be read: lists as JSON, the moment in ms. */
export interface ColumnsRow extends DerivedRow {
  lab: string;
  at: number;
  header: string;
  mapping: string;
}
export const ColumnsTable = new EntitySchema<ColumnsRow>({
  name: 'columns',
  columns: { ...derived, lab: text, at: integer, header: text, mapping: text },
});

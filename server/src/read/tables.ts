import { EntitySchema } from 'typeorm';
import { derived, optionalFloat, text, type DerivedRow } from '../store/index.ts';

export interface ResultRow extends DerivedRow {
  point: string;
  bottle: string;
  parameter: string;
  form: string;
  value: number | null;
  reporting: number | null;
  verdict: string;
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
  },
});

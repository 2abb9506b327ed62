import { EntitySchema } from 'typeorm';
import { derived, optionalInteger, optionalText, text, type DerivedRow } from '../store/index.ts';

export interface BottleRow extends DerivedRow {
  visit: string;
  rule: string;
  stage: string;
  lost: string | null;
  filled: number | null;
  deadline: number | null;
}
export const BottleTable = new EntitySchema<BottleRow>({
  name: 'bottles',
  columns: {
    ...derived,
    visit: text,
    rule: text,
    stage: text,
    lost: optionalText,
    filled: optionalInteger,
    deadline: optionalInteger,
  },
});

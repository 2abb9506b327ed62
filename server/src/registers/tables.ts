import { EntitySchema } from 'typeorm';
import { derived, integer, optionalText, text, type DerivedRow } from '../store/index.ts';

export interface ThingRow extends DerivedRow {
  register: string;
  code: string | null;
  name: string;
  version: number;
  data: string;
}
export const ThingTable = new EntitySchema<ThingRow>({
  name: 'things',
  columns: { ...derived, register: text, code: optionalText, name: text, version: integer, data: text },
});

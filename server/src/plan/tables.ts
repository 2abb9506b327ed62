import { EntitySchema } from 'typeorm';
import { derived, integer, text, type DerivedRow } from '../store/index.ts';

export interface RoundRow extends DerivedRow {
  code: string;
  name: string;
  date: string;
  system: string;
  closed: number;
  overview: string;
}
export const RoundTable = new EntitySchema<RoundRow>({
  name: 'rounds',
  columns: { ...derived, code: text, name: text, date: text, system: text, closed: integer, overview: text },
});

export interface AgendaRow extends DerivedRow {
  what: 'clock' | 'bottle' | 'action' | 'result';
  at: number;
  data: string;
}
export const AgendaTable = new EntitySchema<AgendaRow>({
  name: 'agenda',
  columns: { ...derived, what: text, at: integer, data: text },
});

export interface VisitRow extends DerivedRow {
  point: string;
  analyses: string;
  sample: string;
}
export const VisitTable = new EntitySchema<VisitRow>({
  name: 'visits',
  columns: { ...derived, point: text, analyses: text, sample: text },
});

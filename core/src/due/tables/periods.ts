/** A period in which samples are counted: so many whole months from January on, or so many weeks from a Monday on. */
export interface PeriodRow {
  name: string;
  months?: number;
  weeks?: number;
}

export const periods = {
  week: { name: 'week', weeks: 1 },
  month: { name: 'month', months: 1 },
  quarter: { name: 'quarter', months: 3 },
  'half-year': { name: 'half-year', months: 6 },
  year: { name: 'year', months: 12 },
  'three-years': { name: 'three years', months: 36 },
} as const satisfies Record<string, PeriodRow>;

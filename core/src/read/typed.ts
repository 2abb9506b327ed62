import { parameter, type ParameterId } from '../parameters/index.ts';
import type { UnitId } from '../units/index.ts';
import type { Mapping } from './mapping.ts';
import { parameterSpellings } from './tables/spellings.ts';

/** A result as it is typed off a sheet of paper: the texts as they are printed there. */
export interface TypedResult {
  bottle: string;
  parameter: ParameterId;
  result: string;
  unit: string;
  reportingLimit: string;
}

const columns = ['sample', 'parameter', 'result', 'unit', 'reportingLimit'] as const;

/** What a nitrogen compound is called as the ion: its sheet must say which of the two it means. */
const ions: Partial<Record<ParameterId, string>> = { nitrate: 'NO3', nitrite: 'NO2', ammonium: 'NH4' };

const usualUnits: Partial<Record<UnitId, readonly string[]>> = {
  'mg/L': ['mg/L', 'µg/L'],
  'ug/L': ['µg/L', 'mg/L'],
  'mg/L CaCO3': ['mg/L CaCO3'],
  per100mL: ['CFU/100 mL', 'MPN/100 mL'],
  'uS/cm': ['µS/cm (25 °C)', 'µS/cm (20 °C)', 'mS/m (25 °C)', 'mS/m (20 °C)'],
  NTU: ['NTU', 'FNU'],
  degC: ['°C'],
  mV: ['mV'],
  pH: ['pH'],
};

/** The units that a sheet of paper is likely to have for a parameter, as they are printed; each has one reading. */
export function unitsToType(id: ParameterId): string[] {
  const units = usualUnits[parameter(id).unit] ?? [];
  const ion = ions[id];
  return ion ? units.flatMap((unit) => [`${unit} ${ion}`, `${unit} N`]) : [...units];
}

/** The columns of a sheet that was typed in: they are ours, so nobody has to choose them. */
export const typedMapping: Mapping = { columns: Object.fromEntries(columns.map((role, index) => [role, index])) };

const quoted = (text: string) => `"${text.replace(/"/g, '""').replace(/\s+/g, ' ').trim()}"`;

/**
 * A typed sheet as the file that is kept of it. It is read like any other report, so that what is typed is judged as what is
 * sent.
 */
export function typedSheet(results: readonly TypedResult[]): string {
  const rows = results.map((one) => [one.bottle, parameterSpellings[one.parameter][0]!, one.result, one.unit, one.reportingLimit]);
  return [['Sample', 'Parameter', 'Result', 'Unit', 'Reporting limit'], ...rows].map((cells) => cells.map(quoted).join(',')).join('\r\n');
}

import { bareName, parameter, type ParameterId } from '../parameters/index.ts';
import type { UnitId } from '../units/index.ts';
import type { Mapping } from './mapping.ts';

/** A result as it is typed off a sheet of paper: the texts as they are printed there. */
export interface TypedResult {
  bottle: string;
  parameter: ParameterId;
  result: string;
  unit: string;
  reportingLimit: string;
}

const columns = ['sample', 'parameter', 'result', 'unit', 'reportingLimit'] as const;

/** What stands behind the unit of a result that is expressed in several ways: its sheet must say which of them it means. */
const expressed: Partial<Record<ParameterId, readonly string[]>> = {
  nitrate: ['NO3', 'N'],
  nitrite: ['NO2', 'N'],
  ammonium: ['NH4', 'N'],
  nitrateNitrite: ['N', 'NO3'],
  orthophosphate: ['PO4', 'P'],
  totalPhosphorus: ['P', 'PO4'],
  silica: ['SiO2', 'Si'],
  unionisedAmmonia: ['NH3', 'N'],
};

const usualUnits: Partial<Record<UnitId, readonly string[]>> = {
  'mg/L': ['mg/L', 'µg/L'],
  'ug/L': ['µg/L', 'mg/L', 'ng/L'],
  'mg/L CaCO3': ['mg/L CaCO3'],
  per100mL: ['CFU/100 mL', 'MPN/100 mL', 'CFU/250 mL', 'CFU/L'],
  perL: ['/L'],
  permL: ['CFU/mL'],
  'mg/L Pt': ['mg/L Pt'],
  dilution: ['dilution number'],
  '1/m': ['1/m', '1/cm'],
  MFL: ['MFL'],
  'Bq/L': ['Bq/L', 'mBq/L', 'Bq/m³', 'pCi/L'],
  mSv: ['mSv/year', 'mrem/year'],
  '1': [''],
  'uS/cm': ['µS/cm (25 °C)', 'µS/cm (20 °C)', 'mS/m (25 °C)', 'mS/m (20 °C)'],
  NTU: ['NTU', 'FNU'],
  degC: ['°C'],
  '%': ['%'],
  'g/kg': ['g/kg'],
  'ohm.m': ['ohm·m'],
  mV: ['mV'],
  pH: ['pH'],
};

/** The units that a sheet of paper is likely to have for a parameter, as they are printed; each has one reading. */
export function unitsToType(id: ParameterId): string[] {
  const units = usualUnits[parameter(id).unit] ?? [];
  const ways = expressed[id];
  return ways ? units.flatMap((unit) => ways.map((way) => `${unit} ${way}`)) : [...units];
}

/** The columns of a sheet that was typed in: they are ours, so nobody has to choose them. */
export const typedMapping: Mapping = { columns: Object.fromEntries(columns.map((role, index) => [role, index])) };

const quoted = (text: string) => `"${text.replace(/"/g, '""').replace(/\s+/g, ' ').trim()}"`;

/**
 * A typed sheet as the file that is kept of it. It is read like any other report, so that what is typed is judged as what is
 * sent.
 */
export function typedSheet(results: readonly TypedResult[]): string {
  const rows = results.map((one) => [one.bottle, bareName(one.parameter), one.result, one.unit, one.reportingLimit]);
  return [['Sample', 'Parameter', 'Result', 'Unit', 'Reporting limit'], ...rows].map((cells) => cells.map(quoted).join(',')).join('\r\n');
}

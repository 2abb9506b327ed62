import type { FindingWords } from '../findings/index.ts';
import { sayNumber, showNumber, unitLabel, type NumberReading, type UnitId } from '../units/index.ts';
import { parameters, type ParameterKind } from './tables/parameters.ts';

type NoNumber = Extract<NumberReading, { ok: false }>['code'];
type Said = Readonly<Record<string, string | number>>;
const name = ({ parameter }: Said) => parameters[parameter as keyof typeof parameters].name;
const range = ({ least, most, unit }: Said) =>
  `${showNumber(Number(least), 0)} to ${showNumber(Number(most), 0)} ${unitLabel(unit as UnitId)}`.trim();

export const readingFindings: FindingWords = {
  'no-number': [
    ({ number, text, suggestion, unit }) =>
      sayNumber({ ok: false, code: number as NoNumber, text: String(text), suggestion: String(suggestion) }, unit as UnitId),
  ],
  'wrong-unit': [(data) => `${unitLabel(data['unit'] as UnitId)} is not a unit of ${name(data).toLowerCase()}.`],
  impossible: [(data) => `${name(data)} can only be ${range(data)}.`, 'Look at the decimal mark and the unit.'],
  unusual: [(data) => `${name(data)} is usually ${range(data)}.`, 'Read the instrument again. Keep it if it says the same.'],
};

/** What parameters of a kind are called together, as the heading of a list. */
export const kindNames: Readonly<Record<ParameterKind, string>> = {
  physical: 'Measured in the field, look',
  disinfectant: 'Disinfectants',
  germ: 'Germs',
  count: 'Colony counts',
  ion: 'Salts',
  nutrient: 'Nutrients',
  metal: 'Metals',
  aggregate: 'Sums and solids',
  'by-product': 'Disinfection by-products',
  organic: 'Organics',
  PFAS: 'PFAS',
  pesticide: 'Pesticides',
  radiological: 'Radioactivity',
};

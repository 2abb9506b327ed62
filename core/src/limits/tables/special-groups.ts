import type { ParameterId } from '../../parameters/index.ts';
import type { UnitId } from '../../units/index.ts';

/** People for whom less is too much than for others, from a value on, whatever set leads. */
export interface SpecialGroup {
  parameter: ParameterId;
  over: number;
  unit: UnitId;
  who: string;
  says: string;
  source: string;
}

/** Values from memory. A doctor, a midwife or the public-health office decides. */
export const specialGroups: readonly SpecialGroup[] = [
  {
    parameter: 'sodium',
    over: 20,
    unit: 'mg/L',
    who: 'People on a diet with little sodium',
    says: 'They count the sodium of the water in: ask the doctor.',
    source: 'US EPA, drinking water advisory on sodium (2003): 20 mg/L',
  },
  {
    parameter: 'nitrate',
    over: 44.3,
    unit: 'mg/L',
    who: 'Infants under six months, pregnant women',
    says: 'Another water for bottles and for drinking. Boiling makes it worse.',
    source: '40 CFR 141.62(b): 10 mg/L as nitrogen; WHO: 50 mg/L, short-term',
  },
  {
    parameter: 'nitrite',
    over: 3,
    unit: 'mg/L',
    who: 'Infants under six months',
    says: 'Another water for bottles. Boiling does not help.',
    source: 'WHO Guidelines (2022): 3 mg/L, short-term',
  },
  {
    parameter: 'manganese',
    over: 80,
    unit: 'ug/L',
    who: 'Infants fed by bottle',
    says: 'Another water for bottles: it may harm how the brain grows.',
    source: 'WHO Guidelines (2022): 80 µg/L, provisional',
  },
  {
    parameter: 'copper',
    over: 2,
    unit: 'mg/L',
    who: 'Infants fed by bottle, people whose liver stores copper',
    says: 'Let the water run until it is cold, or take another for bottles.',
    source: 'WHO Guidelines (2022): 2 mg/L',
  },
  {
    parameter: 'fluoride',
    over: 1.5,
    unit: 'mg/L',
    who: 'Children whose teeth are growing, up to eight years',
    says: 'It stains growing teeth: no fluoride tablets besides, and ask the dentist.',
    source: 'WHO Guidelines (2022): 1.5 mg/L; 40 CFR 141.208: notice from 2 mg/L on',
  },
  {
    parameter: 'sulfate',
    over: 500,
    unit: 'mg/L',
    who: 'Infants fed by bottle, guests who are not used to it',
    says: 'It can purge: another water for bottles.',
    source: 'WHO Guidelines (2022), chapter 12: 500 mg/L',
  },
];

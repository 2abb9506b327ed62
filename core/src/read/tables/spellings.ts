import { parameter, parameterIds, type ParameterId } from '../../parameters/index.ts';
import type { UnitId } from '../../units/index.ts';
import { fold } from '../cells/fold.ts';
import { disinfectionNames } from './names/disinfection.ts';
import { fieldNames } from './names/field.ts';
import { germsNames } from './names/germs.ts';
import { metalsNames } from './names/metals.ts';
import { organicsNames } from './names/organics.ts';
import { pesticidesNames } from './names/pesticides.ts';
import { pfasNames } from './names/pfas.ts';
import { radioactivityNames } from './names/radioactivity.ts';
import { saltsNames } from './names/salts.ts';
import { sumsNames } from './names/sums.ts';

const labNames: Partial<Record<ParameterId, readonly string[]>> = {
  ...fieldNames,
  ...germsNames,
  ...saltsNames,
  ...metalsNames,
  ...sumsNames,
  ...disinfectionNames,
  ...organicsNames,
  ...pfasNames,
  ...pesticidesNames,
  ...radioactivityNames,
};

/** Every way in which a parameter is spelt, its own name first, then its symbol and registry number, then what labs call it. */
export function spellingsOf(id: ParameterId): readonly string[] {
  const { name, symbol, cas } = parameter(id);
  return [name, ...(symbol === undefined ? [] : [symbol]), ...(cas === undefined ? [] : [cas]), ...(labNames[id] ?? [])];
}

/** The parameter that a spelling means, by its folded letters and digits. */
export const parameterBySpelling: ReadonlyMap<string, ParameterId> = new Map(
  parameterIds.flatMap((id) => spellingsOf(id).map((spelling): [string, ParameterId] => [fold(spelling), id])),
);

/**
 * `ppt` and `°f` are not here: parts in a thousand or in a million million, Fahrenheit or a French degree.
 * How labs spell units, folded to lower case without spaces, accents or superscripts; µ and μ both become u.
 */
export const unitSpellings: Record<string, UnitId> = {
  mv: 'mV',
  'mg/l': 'mg/L',
  mgl: 'mg/L',
  'mgl-1': 'mg/L',
  'mg.l-1': 'mg/L',
  'ugl-1': 'ug/L',
  'ug.l-1': 'ug/L',
  ppm: 'ppm',
  'g/l': 'g/L',
  'ug/l': 'ug/L',
  ugl: 'ug/L',
  'mcg/l': 'ug/L',
  ppb: 'ppb',
  'ng/l': 'ng/L',
  ngl: 'ng/L',
  'ngl-1': 'ng/L',
  'pg/l': 'pg/L',
  'bq/l': 'Bq/L',
  'bql-1': 'Bq/L',
  'mbq/l': 'mBq/L',
  'bq/m3': 'Bq/m3',
  'pci/l': 'pCi/L',
  msv: 'mSv',
  'msv/a': 'mSv',
  'msv/y': 'mSv',
  'msv/yr': 'mSv',
  'msv/year': 'mSv',
  'msv/ano': 'mSv',
  'msv/ano.': 'mSv',
  'mrem/yr': 'mrem',
  'mrem/year': 'mrem',
  'mrem/y': 'mrem',
  mfl: 'MFL',
  'millionfibres/l': 'MFL',
  'millionfibers/l': 'MFL',
  'mg/lpt': 'mg/L Pt',
  'mgpt/l': 'mg/L Pt',
  'mg/lptco': 'mg/L Pt',
  'mg/lpt-co': 'mg/L Pt',
  'mg/lpt/co': 'mg/L Pt',
  'mg/l(pt)': 'mg/L Pt',
  'mg/l(pt-co)': 'mg/L Pt',
  'mgptco/l': 'mg/L Pt',
  'mgpt-co/l': 'mg/L Pt',
  'pt-co': 'mg/L Pt',
  ptco: 'mg/L Pt',
  'pt/co': 'mg/L Pt',
  hazen: 'mg/L Pt',
  tcu: 'mg/L Pt',
  pcu: 'mg/L Pt',
  acu: 'mg/L Pt',
  '1/m': '1/m',
  'm-1': '1/m',
  '/m': '1/m',
  '1/cm': '1/cm',
  'cm-1': '1/cm',
  '/cm': '1/cm',
  dilutionnumber: 'dilution',
  dilutionfactor: 'dilution',
  'dilutionno.': 'dilution',
  ton: 'dilution',
  fatordediluicao: 'dilution',
  factordedilucion: 'dilution',
  tauxdedilution: 'dilution',
  verdunnungsfaktor: 'dilution',
  'us/cm': 'uS/cm',
  'umhos/cm': 'uS/cm',
  'ms/cm': 'mS/cm',
  'ms/m': 'mS/m',
  ntu: 'NTU',
  unt: 'NTU',
  fnu: 'FNU',
  utn: 'NTU',
  ph: 'pH',
  phunits: 'pH',
  su: 'pH',
  escaladesorensen: 'pH',
  unidadesph: 'pH',
  unidadesdeph: 'pH',
  c: 'degC',
  degc: 'degC',
  '°c': 'degC',
  degf: 'degF',
  'cfu/100ml': 'per100mL',
  'ufc/100ml': 'per100mL',
  'mpn/100ml': 'per100mL',
  'nmp/100ml': 'per100mL',
  'kbe/100ml': 'per100mL',
  'n/100ml': 'per100mL',
  '/100ml': 'per100mL',
  per100ml: 'per100mL',
  in100ml: 'per100mL',
  '100ml': 'per100mL',
  '1/100ml': 'per100mL',
  'cfu/250ml': 'per250mL',
  'ufc/250ml': 'per250mL',
  'kbe/250ml': 'per250mL',
  'mpn/250ml': 'per250mL',
  'n/250ml': 'per250mL',
  '/250ml': 'per250mL',
  per250ml: 'per250mL',
  'cfu/ml': 'permL',
  'ufc/ml': 'permL',
  'kbe/ml': 'permL',
  'mpn/ml': 'permL',
  'nmp/ml': 'permL',
  'n/ml': 'permL',
  '/ml': 'permL',
  '1/ml': 'permL',
  perml: 'permL',
  'cfu/l': 'perL',
  'ufc/l': 'perL',
  'kbe/l': 'perL',
  'mpn/l': 'perL',
  'nmp/l': 'perL',
  'n/l': 'perL',
  '/l': 'perL',
  perl: 'perL',
  'mgcaco3/l': 'mg/L CaCO3',
  'mg/lcaco3': 'mg/L CaCO3',
  'mg/lascaco3': 'mg/L CaCO3',
  gpg: 'gpg',
  '°dh': 'dH',
  '°fh': 'fH',
  fh: 'fH',
};

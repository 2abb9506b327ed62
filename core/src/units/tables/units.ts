/**
 * Every unit the product reads or shows. `factor` takes a number in the unit to the base unit of its dimension
 * (base = number × factor + offset).
 *
 * Sources: exact definitions of the SI Brochure, 9th ed. (2019); US customary lengths and the US gallon from NIST
 * Handbook 44, app. C (1 ft = 0.3048 m, 1 US gal = 3.785411784 L, both exact). mg/L = ppm holds for dilute water only
 * (common practice). Hardness: 1 gpg = 17.118 mg/L as CaCO3 by definition (64.79891 mg per 3.785411784 L);
 * 1 °dH = 10 mg/L CaO = 17.848 mg/L as CaCO3; 1 °f = 10 mg/L as CaCO3; 1 °e = 1 grain per imperial gallon (4.54609 L) (common practice).
 * Pressures: NIST SP 811 (2008), app. B.8: 1 psi = 6894.757 Pa, 1 inHg = 3386.389 Pa, 1 mmHg = 133.3224 Pa; conventional columns of
 * water of 1000 kg/m³ under 9.80665 m/s²: 1 mH2O = 9806.65 Pa, 1 ftH2O = 2989.06692 Pa, 1 inH2O = 249.08891 Pa.
 * Activity: 1 Ci = 3.7 × 10¹⁰ Bq; dose: 1 rem = 0.01 Sv (NIST SP 811, exact). Colour: the units of Hazen, TCU and Pt-Co are 1 mg/L Pt (ISO 7887).
 */
export interface UnitRow {
  dimension: Dimension;
  label: string;
  factor: number;
  offset?: number;
}

export type Dimension =
  | 'length'
  | 'volume'
  | 'flow'
  | 'duration'
  | 'temperature'
  | 'concentration'
  | 'conductivity'
  | 'resistivity'
  | 'salinity'
  | 'turbidity'
  | 'acidity'
  | 'potential'
  | 'pressure'
  | 'density'
  | 'acceleration'
  | 'count'
  | 'hardness'
  | 'colour'
  | 'dilution'
  | 'absorbance'
  | 'fibres'
  | 'activity'
  | 'dose'
  | 'ratio'
  | 'angle'
  | 'speed'
  | 'number';

const gallon = 3.785411784e-3;

export const units = {
  km: { dimension: 'length', label: 'km', factor: 1000 },
  m: { dimension: 'length', label: 'm', factor: 1 },
  cm: { dimension: 'length', label: 'cm', factor: 0.01 },
  mm: { dimension: 'length', label: 'mm', factor: 0.001 },
  ft: { dimension: 'length', label: 'ft', factor: 0.3048 },
  in: { dimension: 'length', label: 'in', factor: 0.0254 },

  m3: { dimension: 'volume', label: 'm³', factor: 1 },
  L: { dimension: 'volume', label: 'L', factor: 1e-3 },
  mL: { dimension: 'volume', label: 'mL', factor: 1e-6 },
  gal: { dimension: 'volume', label: 'gal (US)', factor: gallon },

  'm3/s': { dimension: 'flow', label: 'm³/s', factor: 1 },
  'L/min': { dimension: 'flow', label: 'L/min', factor: 1e-3 / 60 },
  'mL/min': { dimension: 'flow', label: 'mL/min', factor: 1e-6 / 60 },
  'L/s': { dimension: 'flow', label: 'L/s', factor: 1e-3 },
  'm3/h': { dimension: 'flow', label: 'm³/h', factor: 1 / 3600 },
  gpm: { dimension: 'flow', label: 'gal/min (US)', factor: gallon / 60 },

  'km/h': { dimension: 'speed', label: 'km/h', factor: 1 / 3.6 },
  mph: { dimension: 'speed', label: 'mph', factor: 1609.344 / 3600 },
  deg: { dimension: 'angle', label: '°', factor: 1 },
  s: { dimension: 'duration', label: 's', factor: 1 },
  min: { dimension: 'duration', label: 'min', factor: 60 },
  h: { dimension: 'duration', label: 'h', factor: 3600 },
  d: { dimension: 'duration', label: 'd', factor: 86_400 },

  degC: { dimension: 'temperature', label: '°C', factor: 1 },
  degF: { dimension: 'temperature', label: '°F', factor: 5 / 9, offset: -160 / 9 },

  'mg/L': { dimension: 'concentration', label: 'mg/L', factor: 1 },
  'ug/L': { dimension: 'concentration', label: 'µg/L', factor: 1e-3 },
  'ng/L': { dimension: 'concentration', label: 'ng/L', factor: 1e-6 },
  'g/L': { dimension: 'concentration', label: 'g/L', factor: 1e3 },
  ppm: { dimension: 'concentration', label: 'ppm', factor: 1 },
  ppb: { dimension: 'concentration', label: 'ppb', factor: 1e-3 },
  ppt: { dimension: 'concentration', label: 'ppt', factor: 1e-6 },
  'pg/L': { dimension: 'concentration', label: 'pg/L', factor: 1e-9 },

  'uS/cm': { dimension: 'conductivity', label: 'µS/cm', factor: 1 },
  'mS/cm': { dimension: 'conductivity', label: 'mS/cm', factor: 1e3 },
  'mS/m': { dimension: 'conductivity', label: 'mS/m', factor: 10 },
  'dS/m': { dimension: 'conductivity', label: 'dS/m', factor: 1e3 },
  'S/m': { dimension: 'conductivity', label: 'S/m', factor: 1e4 },
  'uS/m': { dimension: 'conductivity', label: 'µS/m', factor: 0.01 },
  'ohm.m': { dimension: 'resistivity', label: 'Ω·m', factor: 1 },

  NTU: { dimension: 'turbidity', label: 'NTU', factor: 1 },
  FNU: { dimension: 'turbidity', label: 'FNU', factor: 1 },
  pH: { dimension: 'acidity', label: 'pH', factor: 1 },
  mV: { dimension: 'potential', label: 'mV', factor: 1 },

  Pa: { dimension: 'pressure', label: 'Pa', factor: 1 },
  hPa: { dimension: 'pressure', label: 'hPa', factor: 100 },
  kPa: { dimension: 'pressure', label: 'kPa', factor: 1000 },
  mbar: { dimension: 'pressure', label: 'mbar', factor: 100 },
  bar: { dimension: 'pressure', label: 'bar', factor: 1e5 },
  psi: { dimension: 'pressure', label: 'psi', factor: 6894.757 },
  mmHg: { dimension: 'pressure', label: 'mmHg', factor: 133.3224 },
  inHg: { dimension: 'pressure', label: 'inHg', factor: 3386.389 },
  mH2O: { dimension: 'pressure', label: 'm of water', factor: 9806.65 },
  cmH2O: { dimension: 'pressure', label: 'cm of water', factor: 98.0665 },
  ftH2O: { dimension: 'pressure', label: 'ft of water', factor: 2989.06692 },
  inH2O: { dimension: 'pressure', label: 'in of water', factor: 249.08891 },

  per100mL: { dimension: 'count', label: '/100 mL', factor: 1 },
  per250mL: { dimension: 'count', label: '/250 mL', factor: 0.4 },
  perL: { dimension: 'count', label: '/L', factor: 0.1 },
  permL: { dimension: 'count', label: '/mL', factor: 100 },

  'mg/L CaCO3': { dimension: 'hardness', label: 'mg/L CaCO₃', factor: 1 },
  gpg: { dimension: 'hardness', label: 'gr/gal (US)', factor: 64.79891 / 3.785411784 },
  dH: { dimension: 'hardness', label: '°dH', factor: 17.848 },
  fH: { dimension: 'hardness', label: '°f', factor: 10 },
  eH: { dimension: 'hardness', label: '°e', factor: 64.79891 / 4.54609 },

  'mg/L Pt': { dimension: 'colour', label: 'mg/L Pt', factor: 1 },
  dilution: { dimension: 'dilution', label: 'dilution number', factor: 1 },
  '1/m': { dimension: 'absorbance', label: '1/m', factor: 1 },
  '1/cm': { dimension: 'absorbance', label: '1/cm', factor: 100 },
  MFL: { dimension: 'fibres', label: 'million fibres/L', factor: 1 },

  'Bq/L': { dimension: 'activity', label: 'Bq/L', factor: 1 },
  'mBq/L': { dimension: 'activity', label: 'mBq/L', factor: 1e-3 },
  'Bq/m3': { dimension: 'activity', label: 'Bq/m³', factor: 1e-3 },
  'pCi/L': { dimension: 'activity', label: 'pCi/L', factor: 0.037 },
  mSv: { dimension: 'dose', label: 'mSv/year', factor: 1 },
  mrem: { dimension: 'dose', label: 'mrem/year', factor: 0.01 },

  'kg/m3': { dimension: 'density', label: 'kg/m³', factor: 1 },
  'm/s2': { dimension: 'acceleration', label: 'm/s²', factor: 1 },

  'g/kg': { dimension: 'salinity', label: 'g/kg', factor: 1 },
  '%': { dimension: 'ratio', label: '%', factor: 0.01 },
  '1': { dimension: 'number', label: '', factor: 1 },
} as const satisfies Record<string, UnitRow>;

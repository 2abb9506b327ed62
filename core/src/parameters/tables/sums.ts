import { perPart } from './atoms.ts';
import { rowsOfKind } from './row.ts';

const sum = rowsOfKind('aggregate', [0, 200_000]);

/** What is defined by the way it is measured. The sums of nitrogen and phosphorus are kept as the element. */
export const sums = {
  dissolvedSolids: sum('Total dissolved solids', 'TDS', null, { unit: 'mg/L', decimals: 0, usualAtLab: [1, 50_000] }),
  suspendedSolids: sum('Total suspended solids', 'TSS', null, { unit: 'mg/L', decimals: 0 }),
  totalSolids: sum('Total solids', null, null, { unit: 'mg/L', decimals: 0 }),
  totalNitrogen: sum('Total nitrogen (as N)', null, null, { unit: 'mg/L', decimals: 2, usualAtLab: [0.01, 300], expressedAs: { N: 1 } }),
  kjeldahlNitrogen: sum('Kjeldahl nitrogen (as N)', 'TKN', null, { unit: 'mg/L', decimals: 2, expressedAs: { N: 1 } }),
  totalPhosphorus: sum('Total phosphorus (as P)', null, null, {
    unit: 'mg/L',
    decimals: 3,
    usualAtLab: [0.001, 50],
    expressedAs: { P: 1, ion: perPart('P', 'PO4') },
  }),
  organicCarbon: sum('Total organic carbon', 'TOC', null, { unit: 'mg/L', decimals: 1, usualAtLab: [0.05, 200] }),
  dissolvedOrganicCarbon: sum('Dissolved organic carbon', 'DOC', null, { unit: 'mg/L', decimals: 1, usualAtLab: [0.05, 200] }),
  bod: sum('Biochemical oxygen demand, 5 days', 'BOD₅', null, { unit: 'mg/L', decimals: 1 }),
  // Not by “COD”: in French, Spanish and Portuguese that is dissolved organic carbon.
  cod: sum('Chemical oxygen demand', null, null, { unit: 'mg/L', decimals: 0 }),
  oxidisability: sum('Oxidisability (permanganate, as O₂)', null, null, { unit: 'mg/L', decimals: 1 }),
  phenols: sum('Phenols, together', null, null, { unit: 'ug/L', decimals: 1 }),
  oilAndGrease: sum('Oil and grease', null, null, { unit: 'mg/L', decimals: 1 }),
  hydrocarbons: sum('Hydrocarbon oil index', null, null, { unit: 'ug/L', decimals: 0 }),
  surfactants: sum('Anionic surfactants', 'MBAS', null, { unit: 'ug/L', decimals: 0 }),
  absorbableHalogens: sum('Absorbable organic halogens', 'AOX', null, { unit: 'ug/L', decimals: 0 }),
  asbestos: sum('Asbestos fibres longer than 10 µm', null, '1332-21-4', { unit: 'MFL', decimals: 1 }),
};

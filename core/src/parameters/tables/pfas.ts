import { rowsOfKind } from './row.ts';

const pfas = rowsOfKind('PFAS', [0, 1e6], { usualAtLab: [0.00005, 100] });
const own = { unit: 'ug/L', decimals: 4 } as const;

/**
 * Per- and polyfluoroalkyl substances: the twenty of Directive (EU) 2020/2184, Annex III, Part B, point 3, first, then what EPA Methods 533
 * and 537.1 name beside them, then sums as labs report them. Acids, with their registry numbers (from memory; check digits tested).
 */
export const perfluoroalkyls = {
  pfba: pfas('PFBA', null, '375-22-4', own),
  pfpea: pfas('PFPeA', null, '2706-90-3', own),
  pfhxa: pfas('PFHxA', null, '307-24-4', own),
  pfhpa: pfas('PFHpA', null, '375-85-9', own),
  pfoa: pfas('PFOA', null, '335-67-1', own),
  pfna: pfas('PFNA', null, '375-95-1', own),
  pfda: pfas('PFDA', null, '335-76-2', own),
  pfunda: pfas('PFUnDA', null, '2058-94-8', own),
  pfdoda: pfas('PFDoDA', null, '307-55-1', own),
  pftrda: pfas('PFTrDA', null, '72629-94-8', own),
  pfbs: pfas('PFBS', null, '375-73-5', own),
  pfpes: pfas('PFPeS', null, '2706-91-4', own),
  pfhxs: pfas('PFHxS', null, '355-46-4', own),
  pfhps: pfas('PFHpS', null, '375-92-8', own),
  pfos: pfas('PFOS', null, '1763-23-1', own),
  pfns: pfas('PFNS', null, '68259-12-1', own),
  pfds: pfas('PFDS', null, '335-77-3', own),
  pfunds: pfas('PFUnDS', null, '749786-16-1', own),
  pfdods: pfas('PFDoDS', null, '79780-39-5', own),
  pftrds: pfas('PFTrDS', null, '791563-89-8', own),

  hfpoDa: pfas('HFPO-DA', null, '13252-13-6', own),
  adona: pfas('ADONA', null, '919005-14-4', own),
  clPf3ons9: pfas('9Cl-PF3ONS', null, '756426-58-1', own),
  clPf3ouds11: pfas('11Cl-PF3OUdS', null, '763051-92-9', own),
  fts42: pfas('4:2 FTS', null, '757124-72-4', own),
  fts62: pfas('6:2 FTS', null, '27619-97-2', own),
  fts82: pfas('8:2 FTS', null, '39108-34-4', own),
  pfmpa: pfas('PFMPA', null, '377-73-1', own),
  pfmba: pfas('PFMBA', null, '863090-89-5', own),
  nfdha: pfas('NFDHA', null, '151772-58-6', own),
  pfeesa: pfas('PFEESA', null, '113507-82-7', own),
  netFosaa: pfas('NEtFOSAA', null, '2991-50-6', own),
  nmeFosaa: pfas('NMeFOSAA', null, '2355-31-9', own),
  pftetda: pfas('PFTeDA', null, '376-06-7', own),

  pfasSum4: pfas('PFAS, sum of 4', null, null, own),
  pfasSum20: pfas('PFAS, sum of 20', null, null, own),
  pfasTotal: pfas('PFAS, total', null, null, own),
};

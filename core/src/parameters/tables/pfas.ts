import { rowsOfKind } from './row.ts';

const pfas = rowsOfKind('PFAS', [0, 1e6], { usualAtLab: [0.00005, 100] });
const own = { unit: 'ug/L', decimals: 4 } as const;

/**
 * Per- and polyfluoroalkyl substances: the twenty of Directive (EU) 2020/2184, Annex III, Part B, point 3, first, then what EPA Methods 533
 * and 537.1 name beside them, then sums as labs report them. Acids, with their registry numbers (from memory; check digits tested).
 */
export const perfluoroalkyls = {
  pfba: pfas('Perfluorobutanoic acid', 'PFBA', '375-22-4', own),
  pfpea: pfas('Perfluoropentanoic acid', 'PFPeA', '2706-90-3', own),
  pfhxa: pfas('Perfluorohexanoic acid', 'PFHxA', '307-24-4', own),
  pfhpa: pfas('Perfluoroheptanoic acid', 'PFHpA', '375-85-9', own),
  pfoa: pfas('Perfluorooctanoic acid', 'PFOA', '335-67-1', own),
  pfna: pfas('Perfluorononanoic acid', 'PFNA', '375-95-1', own),
  pfda: pfas('Perfluorodecanoic acid', 'PFDA', '335-76-2', own),
  pfunda: pfas('Perfluoroundecanoic acid', 'PFUnDA', '2058-94-8', own),
  pfdoda: pfas('Perfluorododecanoic acid', 'PFDoDA', '307-55-1', own),
  pftrda: pfas('Perfluorotridecanoic acid', 'PFTrDA', '72629-94-8', own),
  pfbs: pfas('Perfluorobutanesulfonic acid', 'PFBS', '375-73-5', own),
  pfpes: pfas('Perfluoropentanesulfonic acid', 'PFPeS', '2706-91-4', own),
  pfhxs: pfas('Perfluorohexanesulfonic acid', 'PFHxS', '355-46-4', own),
  pfhps: pfas('Perfluoroheptanesulfonic acid', 'PFHpS', '375-92-8', own),
  pfos: pfas('Perfluorooctanesulfonic acid', 'PFOS', '1763-23-1', own),
  pfns: pfas('Perfluorononanesulfonic acid', 'PFNS', '68259-12-1', own),
  pfds: pfas('Perfluorodecanesulfonic acid', 'PFDS', '335-77-3', own),
  pfunds: pfas('Perfluoroundecanesulfonic acid', 'PFUnDS', '749786-16-1', own),
  pfdods: pfas('Perfluorododecanesulfonic acid', 'PFDoDS', '79780-39-5', own),
  pftrds: pfas('Perfluorotridecanesulfonic acid', 'PFTrDS', '791563-89-8', own),

  hfpoDa: pfas('Hexafluoropropylene oxide dimer acid', 'HFPO-DA', '13252-13-6', own),
  adona: pfas('4,8-Dioxa-3H-perfluorononanoic acid', 'ADONA', '919005-14-4', own),
  clPf3ons9: pfas('9-Chlorohexadecafluoro-3-oxanonanesulfonic acid', '9Cl-PF3ONS', '756426-58-1', own),
  clPf3ouds11: pfas('11-Chloroeicosafluoro-3-oxaundecanesulfonic acid', '11Cl-PF3OUdS', '763051-92-9', own),
  fts42: pfas('4:2 Fluorotelomer sulfonic acid', '4:2 FTS', '757124-72-4', own),
  fts62: pfas('6:2 Fluorotelomer sulfonic acid', '6:2 FTS', '27619-97-2', own),
  fts82: pfas('8:2 Fluorotelomer sulfonic acid', '8:2 FTS', '39108-34-4', own),
  pfmpa: pfas('Perfluoro-3-methoxypropanoic acid', 'PFMPA', '377-73-1', own),
  pfmba: pfas('Perfluoro-4-methoxybutanoic acid', 'PFMBA', '863090-89-5', own),
  nfdha: pfas('Nonafluoro-3,6-dioxaheptanoic acid', 'NFDHA', '151772-58-6', own),
  pfeesa: pfas('Perfluoro(2-ethoxyethane)sulfonic acid', 'PFEESA', '113507-82-7', own),
  netFosaa: pfas('N-Ethyl perfluorooctanesulfonamidoacetic acid', 'NEtFOSAA', '2991-50-6', own),
  nmeFosaa: pfas('N-Methyl perfluorooctanesulfonamidoacetic acid', 'NMeFOSAA', '2355-31-9', own),
  pftetda: pfas('Perfluorotetradecanoic acid', 'PFTeDA', '376-06-7', own),

  pfasSum4: pfas('PFAS, sum of 4', null, null, own),
  pfasSum20: pfas('PFAS, sum of 20', null, null, own),
  pfasTotal: pfas('PFAS, total', null, null, own),
};

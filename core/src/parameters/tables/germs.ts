import { rowsOfKind } from './row.ts';

const germ = rowsOfKind('germ', [0, 1e9]);
const count = rowsOfKind('count', [0, 1e9]);
const in100mL = { unit: 'per100mL', decimals: 0 } as const;
const inML = { unit: 'permL', decimals: 0 } as const;

/** What is counted in water. */
export const germs = {
  coliforms: germ('Coliform bacteria', null, null, in100mL),
  ecoli: germ('E. coli', null, null, in100mL),
  thermotolerant: germ('Thermotolerant coliforms', null, null, in100mL),
  enterococci: germ('Intestinal enterococci', null, null, in100mL),
  clostridium: germ('Clostridium perfringens', null, null, in100mL),
  pseudomonas: germ('Pseudomonas aeruginosa', null, null, in100mL),
  staphylococcus: germ('Staphylococcus aureus', null, null, in100mL),
  salmonella: germ('Salmonella', null, null, in100mL),
  legionella: germ('Legionella', null, null, in100mL),
  legionellaPneumophila: germ('Legionella pneumophila', null, null, in100mL),
  coliphages: germ('Somatic coliphages', null, null, in100mL),
  cryptosporidium: germ('Cryptosporidium', null, null, { unit: 'perL', decimals: 2 }),
  giardia: germ('Giardia', null, null, { unit: 'perL', decimals: 2 }),
  plateCount22: count('Plate count at 22 °C', null, null, inML),
  plateCount36: count('Plate count at 36 °C', null, null, inML),
  heterotrophic: count('Heterotrophic plate count', 'HPC', null, inML),
};

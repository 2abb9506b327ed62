import type { AnalysisRow } from '../../rule.ts';
import { analyses as before } from '../bottles-2026-2-analyses.ts';

/** What can be asked of a lab. Grouping by bottle is common practice; each lab has its own. */
export const analyses = {
  coliforms: { ...before.coliforms, group: 'Germs' },
  general: { ...before.general, group: 'Salts and nutrients' },
  nutrients: { ...before.nutrients, group: 'Salts and nutrients' },
  metals: { name: 'Metals', group: 'Metals', bottles: ['metals'] },
  lead: { ...before.lead, group: 'Metals' },

  plate: { name: 'Heterotrophic plate count', group: 'Germs', bottles: ['plate'] },
  enterococci: { name: 'Enterococci', group: 'Germs', bottles: ['enterococci'] },
  clostridium: { name: 'Clostridium perfringens', group: 'Germs', bottles: ['clostridium'] },
  pseudomonas: { name: 'Pseudomonas aeruginosa', group: 'Germs', bottles: ['pseudomonas'] },
  legionella: { name: 'Legionella', group: 'Germs', bottles: ['legionella'] },

  totalMetals: { name: 'Metals, total', group: 'Metals', bottles: ['totalMetals'] },
  mercury: { name: 'Mercury', group: 'Metals', bottles: ['mercury'] },
  chromium6: { name: 'Chromium (VI)', group: 'Metals', bottles: ['chromium6'] },

  nitratePreserved: { name: 'Nitrate + nitrite, preserved', group: 'Salts and nutrients', bottles: ['nitratePreserved'] },
  totalNitrogen: { name: 'Total nitrogen', group: 'Salts and nutrients', bottles: ['totalNitrogen'] },
  phosphorus: { name: 'Total phosphorus', group: 'Salts and nutrients', bottles: ['phosphorus'] },
  orthophosphate: { name: 'Orthophosphate', group: 'Salts and nutrients', bottles: ['orthophosphate'] },
  anions: { name: 'Anions', group: 'Salts and nutrients', bottles: ['anions'] },
  fluoride: { name: 'Fluoride', group: 'Salts and nutrients', bottles: ['fluoride'] },
  alkalinity: { name: 'Alkalinity', group: 'Salts and nutrients', bottles: ['alkalinity'] },
  hardness: { name: 'Hardness', group: 'Salts and nutrients', bottles: ['hardness'] },
  silica: { name: 'Silica', group: 'Salts and nutrients', bottles: ['silica'] },
  cyanide: { name: 'Cyanide', group: 'Salts and nutrients', bottles: ['cyanide'] },
  sulfide: { name: 'Sulfide', group: 'Salts and nutrients', bottles: ['sulfide'] },

  solids: { name: 'Solids', group: 'Look and solids', bottles: ['solids'] },
  turbidity: { name: 'Turbidity', group: 'Look and solids', bottles: ['turbidity'] },
  colour: { name: 'Colour', group: 'Look and solids', bottles: ['colour'] },
  oxygen: { name: 'Oxygen, fixed on site', group: 'Look and solids', bottles: ['oxygen'] },

  volatiles: { name: 'Volatile organics', group: 'Organics', bottles: ['volatiles'] },
  pesticides: { name: 'Pesticides', group: 'Organics', bottles: ['pesticides'] },
  polycyclic: { name: 'Polycyclic aromatics', group: 'Organics', bottles: ['polycyclic'] },
  phenols: { name: 'Phenols', group: 'Organics', bottles: ['phenols'] },
  oil: { name: 'Oil and grease', group: 'Organics', bottles: ['oil'] },
  carbon: { name: 'Organic carbon', group: 'Organics', bottles: ['carbon'] },
  bod: { name: 'Biochemical oxygen demand', group: 'Organics', bottles: ['bod'] },
  cod: { name: 'Chemical oxygen demand', group: 'Organics', bottles: ['cod'] },

  pfas533: { name: 'PFAS by EPA 533', group: 'PFAS', bottles: ['pfas533'] },
  pfas537: { name: 'PFAS by EPA 537.1', group: 'PFAS', bottles: ['pfas537'] },

  trihalomethanes: { name: 'Trihalomethanes', group: 'Disinfection', bottles: ['trihalomethanes'] },
  haloacetic: { name: 'Haloacetic acids', group: 'Disinfection', bottles: ['haloacetic'] },
  oxyhalides: { name: 'Bromate, chlorate, chlorite', group: 'Disinfection', bottles: ['oxyhalides'] },

  radon: { name: 'Radon', group: 'Radioactivity', bottles: ['radon'] },
  grossActivity: { name: 'Gross alpha and beta', group: 'Radioactivity', bottles: ['grossActivity'] },
} as const satisfies Record<string, AnalysisRow>;

/** What somebody may be trained for; what the law asks of a sampler is the authority's to say. */
export const trainings = {
  bacteria: { name: 'Bacteria, sterile sampling', kinds: ['coliforms', 'enterococci', 'plate', 'clostridium', 'pseudomonas'] },
  legionella: { name: 'Legionella', kinds: ['legionella', 'legionellaFlushed'] },
  lead: { name: 'Lead and copper at the tap', kinds: ['lead', 'leadFifth'] },
  pfas: { name: 'PFAS', kinds: ['pfas533', 'pfas537'] },
  volatiles: { name: 'Volatiles and radon', kinds: ['volatiles', 'trihalomethanes', 'radon'] },
  wells: { name: 'Wells: level and purge', kinds: [] },
  contaminated: { name: 'Contaminated ground and water', kinds: [] },
  confined: { name: 'Pits and vaults', kinds: [] },
} as const satisfies Record<string, { name: string; kinds: readonly string[] }>;

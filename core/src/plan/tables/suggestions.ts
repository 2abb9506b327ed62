import type { AnalysisId } from '../../bottles/index.ts';
import type { Point, PointKind, SurroundingId } from '../../registers/index.ts';

/** What a point asks to be tested for, by what it is. Everything that is said must hold. */
export interface SuggestionRow {
  when: {
    kinds?: readonly PointKind[];
    water?: readonly NonNullable<Point['water']>[];
    source?: readonly NonNullable<Point['source']>[];
    disinfection?: readonly NonNullable<Point['disinfection']>[];
    use?: Point['use'];
    /** One of these lies about it. */
    about?: readonly SurroundingId[];
  };
  analyses: readonly AnalysisId[];
  why: string;
  source: string;
}

const practice = 'Common practice';

/** Analyses that suit a point. The authority's programme and the owner's question come first. */
export const suggestions: readonly SuggestionRow[] = [
  {
    when: { kinds: ['private-well', 'open-well', 'hand-pump', 'spring'] },
    analyses: ['coliforms', 'nutrients'],
    why: 'A well of one’s own, with nobody who looks after it: bacteria always, nitrate because it cannot be tasted.',
    source: practice,
  },
  {
    when: { water: ['private'] },
    analyses: ['coliforms', 'nutrients'],
    why: 'Private water: bacteria always, nitrate because it cannot be tasted.',
    source: practice,
  },
  {
    when: { kinds: ['supply-well', 'raw-tap'] },
    analyses: ['coliforms', 'general', 'nutrients', 'metals'],
    why: 'Raw water of a supply: what treatment has to deal with.',
    source: practice,
  },
  {
    when: { water: ['irrigation'] },
    analyses: ['general', 'nutrients', 'totalMetals'],
    why: 'Irrigation: salinity, sodium against calcium and magnesium, nitrate, metals.',
    source: 'FAO Irrigation and Drainage Paper 29',
  },
  {
    when: { water: ['stock'] },
    analyses: ['general', 'nutrients', 'totalMetals'],
    why: 'Stock: salinity, nitrate, sulfate, metals.',
    source: practice,
  },
  {
    when: { kinds: ['house-tap'], use: 'supply' },
    analyses: ['coliforms', 'lead'],
    why: 'A tap that people drink from: bacteria, and lead and copper of the house.',
    source: 'Directive (EU) 2020/2184, Annexes I and II',
  },
  {
    when: { kinds: ['sampling-station', 'outside-tap', 'entry-point'], use: 'supply' },
    analyses: ['coliforms'],
    why: 'Water of the network: bacteria, and the residual beside them.',
    source: 'Directive (EU) 2020/2184, Annex II',
  },
  {
    when: { disinfection: ['free-chlorine'], use: 'supply' },
    analyses: ['trihalomethanes', 'haloacetic'],
    why: 'Chlorine makes by-products of what is dissolved, most where the water is oldest.',
    source: 'Directive (EU) 2020/2184, Annex I, Part B; 40 CFR 141.64',
  },
  {
    when: { disinfection: ['temporary'] },
    analyses: ['coliforms', 'oxyhalides'],
    why: 'Chlorinated for a time: has it helped, and what came with the bleach?',
    source: practice,
  },
  {
    when: { kinds: ['shower', 'tank'] },
    analyses: ['legionella'],
    why: 'Warm water that stands or sprays.',
    source: 'HSG274 part 2; Directive (EU) 2020/2184, Annex I, Part D',
  },
  {
    when: { source: ['under-surface-influence', 'surface'] },
    analyses: ['coliforms', 'enterococci', 'clostridium', 'turbidity'],
    why: 'Surface water gets in: spores outlast chlorine, turbidity shields germs.',
    source: 'Directive (EU) 2020/2184, Annex I, Part C',
  },
  {
    when: { kinds: ['monitoring-well'] },
    analyses: ['general', 'nutrients', 'metals'],
    why: 'The usual picture of a groundwater: what is dissolved, and where it comes from.',
    source: practice,
  },
  {
    when: { about: ['farmland', 'livestock', 'septic'] },
    analyses: ['coliforms', 'nutrients'],
    why: 'Manure, fertiliser or sewage near by: nitrate, and germs.',
    source: practice,
  },
  {
    when: { about: ['spraying'] },
    analyses: ['pesticides'],
    why: 'What is sprayed near by may reach the water.',
    source: practice,
  },
  {
    when: { about: ['road', 'coast'] },
    analyses: ['general'],
    why: 'Salt from the road or the sea: chloride, sodium, conductivity.',
    source: practice,
  },
  {
    when: { about: ['fuel', 'workshop'] },
    analyses: ['volatiles'],
    why: 'Fuel and solvents travel with the groundwater.',
    source: practice,
  },
  {
    when: { about: ['tannery'] },
    analyses: ['metals', 'chromium6'],
    why: 'Tanning and plating work with chromium.',
    source: practice,
  },
  {
    when: { about: ['landfill'] },
    analyses: ['general', 'nutrients', 'metals', 'volatiles', 'pfas533'],
    why: 'What seeps out of a landfill: salts, ammonium, metals, solvents, PFAS.',
    source: practice,
  },
  {
    when: { about: ['mine'] },
    analyses: ['general', 'metals'],
    why: 'Spoil heaps give off sulfate, acid and metals.',
    source: practice,
  },
  {
    when: { about: ['foam'] },
    analyses: ['pfas533'],
    why: 'Fire-fighting foam is the best known source of PFAS.',
    source: practice,
  },
  {
    when: { about: ['granite'] },
    analyses: ['radon', 'grossActivity'],
    why: 'Such rock gives off radon and uranium.',
    source: practice,
  },
  {
    when: { about: ['old-pipes'], use: 'supply' },
    analyses: ['lead'],
    why: 'Old pipes and fittings give off lead and copper.',
    source: practice,
  },
  {
    when: { about: ['flooded'] },
    analyses: ['coliforms', 'nutrients', 'turbidity'],
    why: 'After a flood: germs first; the well is disinfected and its chlorine gone before it is sampled.',
    source: practice,
  },
];

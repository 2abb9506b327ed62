/** Which part of a metal a result tells: all of it, or what passed a filter. */
export const fractions = ['total', 'dissolved'] as const;
export type Fraction = (typeof fractions)[number];

/** Words for a fraction, folded to lower-case letters and digits. Common usage in English, Portuguese, Spanish, French and German. */
export const fractionWords: Readonly<Record<string, Fraction>> = {
  total: 'total',
  totalrecoverable: 'total',
  tot: 'total',
  t: 'total',
  totale: 'total',
  totais: 'total',
  totales: 'total',
  gesamt: 'total',
  unfiltered: 'total',
  ungefiltert: 'total',
  naofiltrado: 'total',
  sinfiltrar: 'total',
  nonfiltre: 'total',
  dissolved: 'dissolved',
  diss: 'dissolved',
  d: 'dissolved',
  dissolvido: 'dissolved',
  dissolvida: 'dissolved',
  dissolvidos: 'dissolved',
  disuelto: 'dissolved',
  disuelta: 'dissolved',
  dissous: 'dissolved',
  dissoute: 'dissolved',
  gelost: 'dissolved',
  geloster: 'dissolved',
  gelostes: 'dissolved',
  filtered: 'dissolved',
  fieldfiltered: 'dissolved',
  filtrado: 'dissolved',
  filtrada: 'dissolved',
  filtre: 'dissolved',
  filtriert: 'dissolved',
};

/** How a number slips on its way from the tape: what it would have been times, and as what it was taken. */
export const slips = [
  { times: 0.3048, as: 'feet-as-metres' },
  { times: 1 / 0.3048, as: 'metres-as-feet' },
  { times: 10, as: 'tenfold' },
  { times: 0.1, as: 'tenfold' },
  { times: 1 / 12, as: 'inches-as-feet' },
  { times: 12, as: 'feet-as-inches' },
  { times: 0.001, as: 'millimetres' },
] as const;

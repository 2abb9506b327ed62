import type { FindingWords } from '../findings/index.ts';

export const countFindings: FindingWords = {
  'wells-unlikely': [
    ({ rarity }) =>
      `These wells are ${Math.round(1 / Number(rarity))} times less likely than the likeliest at that number: more positive of little water than of much?`,
    'Were volumes or labels exchanged, or is something in the medium? Read them again; the number means little.',
  ],
};

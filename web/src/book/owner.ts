import type { KeptFile } from '../disk/index.ts';

/** The book whose entry will name a file: of a round, or of a point that somebody looks at without one. */
export type FileOf = { round: string } | { point: string };

/** For which book a file is still to be sent; null once the server has it. */
export const ownerOf = ({ round, point }: Pick<KeptFile, 'round' | 'point'>): FileOf | null =>
  round ? { round } : point ? { point } : null;

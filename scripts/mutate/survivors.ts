import type { Mutant } from './mutants.ts';

/** Numbers that nobody acts on, and why. */
const aside: readonly { at: RegExp; says?: RegExp; why: string }[] = [
  { at: /^core\/src\/simulation\//, why: 'wells that are made up: their checks are physics, in simulation/' },
  { at: /^core\/src\/kit\/tables\/pictures/, why: 'places in a drawing' },
  { at: /./, says: /= 1e-\d+;/, why: 'what binary fractions are rounded by: any number as small does' },
  { at: /\/tables\//, says: /^order: [\d.]+,$/, why: 'only the sequence counts, which is held' },
];

/** Why a number is left out; null where it is not. */
export const isAside = ({ file, says }: Mutant): string | null =>
  aside.find((one) => one.at.test(file) && (one.says?.test(says) ?? true))?.why ?? null;

/** Numbers that no test holds, by name, and why that is right. */
export const survivors: Readonly<Record<string, string>> = {};

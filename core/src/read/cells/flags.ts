import { ambiguousFlags, flagMeanings, type FlagMeaning } from '../tables/flags.ts';
import type { CellStyle } from './style.ts';

/** A flag as it is compared: in capitals, without blanks and points. */
export const bareFlag = (flag: string) => flag.toUpperCase().replace('≤', '<').replace('≥', '>').replace(/[.\s]/g, '');

const nothingSaid = { means: new Set<FlagMeaning>() };

/** What a flag means: as a person said of this file, else by the table; null where nobody knows, or where the file says otherwise. */
function meaningOfOne(flag: string, { flags }: CellStyle): readonly FlagMeaning[] | null {
  const key = bareFlag(flag);
  const said = flags && Object.hasOwn(flags, key) ? flags[key]! : undefined;
  if (said !== undefined) return said === 'unclear' ? null : [said];
  if (ambiguousFlags.has(key)) return null;
  return Object.hasOwn(flagMeanings, key) ? flagMeanings[key]! : null;
}

/** Flags of a letter each that stand together, `JH`; null where one of them is not known. */
function meaningOfLetters(flag: string, style: CellStyle): readonly FlagMeaning[] | null {
  const letters = /^[A-Z]{2,3}$/.test(flag) ? [...flag].map((letter) => meaningOfOne(letter, style)) : [null];
  return letters.includes(null) ? null : letters.flatMap((one) => one!);
}

/** What the flags of a row say together, or that one of them is not known. */
export function meaningOf(flags: string, style: CellStyle): { means: ReadonlySet<FlagMeaning> } | { unknown: string } {
  if (flags === '') return nothingSaid;
  const means = new Set<FlagMeaning>();
  const all = meaningOfOne(flags, style) ? [flags] : flags.split(/[\s,;/]+/);
  for (const flag of all) {
    if (flag === '') continue;
    const known = meaningOfOne(flag, style) ?? meaningOfLetters(flag, style);
    if (!known) return { unknown: flag };
    for (const one of known) means.add(one);
  }
  return { means };
}

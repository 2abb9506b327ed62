import { fold } from '../cells/fold.ts';
import { headings, roles, type Role } from '../tables/headings.ts';

/** A heading is taken by its beginning only from names as long as this. */
const leastBeginning = 4;

/** Words that a heading may have or leave out: `Data da colheita`, `Date of sampling`. */
const smallWords = /(?<![\p{L}\d])(?:of|the|de|da|do|das|dos|del|des|du|la|el|der|des|d['’])(?![\p{L}\d])\s*/giu;

/** How long the longest name of each role is that a heading is, or begins with. */
function fits(heading: string): { whole: Role | null; begins: { role: Role; length: number } | null } {
  const folded = fold(heading);
  const short = fold(heading.replace(smallWords, ''));
  let begins: { role: Role; length: number } | null = null;
  for (const role of roles) {
    for (const name of headings[role]) {
      if (folded === name || short === name) return { whole: role, begins: null };
      if (name.length >= leastBeginning && folded.startsWith(name) && name.length > (begins?.length ?? 0))
        begins = { role, length: name.length };
    }
  }
  return { whole: null, begins };
}

/** The role that a heading names, whole or by its beginning; null for none. A cell with a number in it is no heading. */
export function roleCalled(heading: string): Role | null {
  if (heading.length > 80) return null;
  const { whole, begins } = fits(heading);
  return whole ?? begins?.role ?? null;
}

/** The role that a whole heading is the name of; null where it is none, or only begins like one. */
export const roleWhole = (heading: string): Role | null => (heading.length > 80 ? null : fits(heading).whole);

/** The first column of each role: by its whole heading first, then by how it begins. */
export function byHeading(header: readonly string[]): Partial<Record<Role, number>> {
  const found: Partial<Record<Role, number>> = {};
  const all = header.map((heading) => (heading.length > 80 ? { whole: null, begins: null } : fits(heading)));
  for (const [index, { whole }] of all.entries()) if (whole && found[whole] === undefined) found[whole] = index;
  for (const [index, { begins }] of all.entries()) if (begins && found[begins.role] === undefined) found[begins.role] = index;
  return found;
}

import { z } from 'zod';

/** What an identifier is put together of. Together round, point and bottle tell every bottle from every other. */
export const labelParts = {
  round: 'Code of the round',
  point: 'Code of the point',
  bottle: 'Letter of the bottle',
  date: 'Day, as 261123',
} as const;
export type LabelPart = keyof typeof labelParts;

/** Parts as they come in a pattern, with the signs between them. */
const part = /\{([a-z]*)\}/g;
const needed: readonly LabelPart[] = ['round', 'point', 'bottle'];

/** The usual identifier, where a lab does not want another. */
export const usualPattern = '{round}-{point}-{bottle}';

/** So many signs of a lab's own fit beside the parts. */
const mostBetween = 16;

/** Why a pattern does not do, as a sentence; null where it does. */
export function patternFault(pattern: string): string | null {
  const parts = [...pattern.matchAll(part)].map(([, name]) => name!);
  const unknown = parts.find((name) => !Object.hasOwn(labelParts, name));
  if (unknown !== undefined)
    return `{${unknown}} is not known. There are ${Object.keys(labelParts)
      .map((name) => `{${name}}`)
      .join(', ')}.`;
  const missing = needed.find((name) => !parts.includes(name));
  if (missing) return `Without {${missing}} two bottles would have the same identifier.`;
  if (/\}\{/.test(pattern)) return 'Put a sign between two parts: run together, two bottles could have the same identifier.';
  const between = pattern.replace(part, '');
  if (between.length > mostBetween) return `Too long for a label: at most ${mostBetween} signs between the parts.`;
  if (!/^[A-Z0-9./_-]*$/.test(between)) return 'Only capital letters, digits, and - . / _ between the parts.';
  return null;
}

/** How the identifiers of a lab's bottles are put together, such as `{round}/{point}-{bottle}`. */
export const LabelPattern = z
  .string()
  .trim()
  .max(60)
  .superRefine((pattern, issues) => {
    const message = patternFault(pattern);
    if (message !== null) issues.addIssue({ code: 'custom', message });
  })
  .meta({ title: 'Identifiers of its bottles' });

/** An identifier by a pattern that does. */
export function byPattern(pattern: string, of: Readonly<Record<LabelPart, string>>): string {
  return pattern.replace(part, (_, name: LabelPart) => of[name]);
}

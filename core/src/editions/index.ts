import { z } from 'zod';

/**
 * A table that judges, as it was released: it is not edited afterwards, a new edition is added beside it. Days are
 * `YYYY-MM-DD`; `until` is the last one.
 */
export interface Edition {
  id: string;
  edition: string;
  from: string;
  until?: string;
  source: string;
}

/** Names one edition of one table, such as `tolerances@2026-1`. What a round records. */
export const EditionRef = z
  .string()
  .max(80)
  .regex(/^[a-z0-9-]+@[A-Za-z0-9.-]+$/, { error: 'Not the name of an edition.' });

export function refOf({ id, edition }: Pick<Edition, 'id' | 'edition'>): string {
  return `${id}@${edition}`;
}

/** All editions of the tables of one sort. */
export interface Shelf<E extends Edition> {
  all: readonly E[];
  /** The edition of that name, or null where this copy of the product does not have it. */
  find: (ref: string) => E | null;
  /** The edition of a table that holds on a day, or null. */
  on: (id: string, day: string) => E | null;
  /** The newest edition of each table. */
  newest: readonly E[];
}

/** Puts editions on a shelf. @throws Error when two have one name: a mistake in the tables. */
export function shelf<E extends Edition>(all: readonly E[]): Shelf<E> {
  const byRef = new Map(all.map((edition) => [refOf(edition), edition]));
  if (byRef.size !== all.length) throw new Error(`Two editions have one name: ${all.map(refOf).join(', ')}`);
  const ids = [...new Set(all.map(({ id }) => id))];
  const ofId = (id: string) => all.filter((edition) => edition.id === id).sort((a, b) => (a.from < b.from ? -1 : 1));
  return {
    all,
    find: (ref) => byRef.get(ref) ?? null,
    on: (id, day) => ofId(id).findLast(({ from, until }) => from <= day && (until === undefined || day <= until)) ?? null,
    newest: ids.map((id) => ofId(id).at(-1)!),
  };
}

/** A source as a technician reads it. That nobody could look a text up is said in the table, for who carries the work on. */
export function shownSource(source: string): string {
  return source
    .replace(/[,;]?\s*\((?:[^()]*[,;]\s*)?from memory\)/g, (match) => match.replace(/[,;]?\s*from memory/, '').replace(/\s*\(\)/, ''))
    .replace(/[,;]\s*(?:values |figures )?from memory/g, '')
    .replace(/\s+/g, ' ')
    .trim();
}

import { canonicalJson, inOrderOfWork, type BookEntry } from '@fonte/core/book';
import { registers, type RegisterName } from '@fonte/core/registers';
import { inPresentVersion } from '@fonte/core/round';
import type { ThingRow } from './tables.ts';

/** A registered thing as its latest entry says. */
export function thingRows(book: string, register: RegisterName, entries: readonly BookEntry[]): ThingRow[] {
  const latest = inOrderOfWork(entries.filter(({ kind }) => kind === registers[register].kind)).at(-1);
  if (!latest) return [];
  const thing = inPresentVersion(latest).payload as { name: string; code?: string };
  return [{ book, id: book, register, code: thing.code ?? null, name: thing.name, version: entries.length, data: canonicalJson(thing) }];
}

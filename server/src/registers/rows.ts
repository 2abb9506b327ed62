import type { BookEntry } from '@fonte/core/book';
import { labRegistered, personRegistered, pointRegistered } from '@fonte/core/registers';
import type { RegisterRow } from '../store/index.ts';

const registers: Record<string, string> = {
  [pointRegistered.kind]: 'points',
  [labRegistered.kind]: 'labs',
  [personRegistered.kind]: 'people',
};

/** One row for each version of each thing registered; the highest version stands. */
export function registerRows(entries: readonly BookEntry[]): RegisterRow[] {
  const versions = new Map<string, number>();
  return entries.flatMap((entry) => {
    const register = registers[entry.kind];
    if (!register) return [];
    const { id: ref } = entry.payload as { id: string };
    const version = (versions.get(`${register} ${ref}`) ?? 0) + 1;
    versions.set(`${register} ${ref}`, version);
    return [
      {
        id: `${register}:${ref}:${version}`,
        book: 'org',
        register,
        ref,
        version,
        data: JSON.stringify(entry.payload),
        since: entry.at.utc,
      },
    ];
  });
}

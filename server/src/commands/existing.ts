import { canBeOpened, generationOf, readSettings } from '../index.ts';

/** Ends the process with one line that says why. */
export function fail(message: string): never {
  console.error(message);
  process.exit(2);
}

/** What went wrong, in one line. */
export const inOneLine = (failure: unknown): string => (failure instanceof Error ? failure.message : String(failure));

/** The path of a database that is there, and that this version can open. Any other path is said what it is, and nothing is made. */
export async function existing(path: string | undefined, { withoutLog = false } = {}): Promise<string> {
  const file = path ?? readSettings(process.env).database;
  // A damaged file is there, too: what is wrong with it is said by whoever looks into it.
  const found = await generationOf(file).catch(() => null);
  if (found && 'sentence' in found && !canBeOpened(found) && !(found.is === 'log-missing' && withoutLog)) fail(found.sentence);
  return file;
}

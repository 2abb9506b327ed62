import { chmodSync, existsSync, rmSync } from 'node:fs';
import { connectTo } from './connection.ts';
import { checkFile, copyInto } from './dialect.ts';
import { lookInto, markClosed, writeInto } from './look.ts';

/** Copies a database as it stands into a new file, also while others write in it. @throws Error, and leaves no half of a copy */
export async function copyDatabase(file: string, target: string): Promise<void> {
  if (existsSync(target)) throw new Error(`${target} is there already: nothing is written over.`);
  // On a connection of its own: one that only reads is not let write the copy either.
  const copying = await connectTo(file, [], false);
  try {
    await copying.query(copyInto, [target]);
    chmodSync(target, 0o600);
    // The copy has no log, and needs none.
    await writeInto(target, markClosed);
  } catch (failure) {
    rmSync(target, { force: true });
    throw failure;
  } finally {
    await copying.destroy();
  }
}

/** What is wrong with the file of a database, in the words of its driver: nothing where it is sound. */
export async function faultsOfFile(file: string): Promise<string[]> {
  const rows = await lookInto(file, (looking) => looking.query<{ said: string }[]>(checkFile));
  return rows.map(({ said }) => said).filter((said) => said !== 'ok');
}

/**
 * Copies a database of an earlier version before it is carried over: a sound one, into a file beside it that bears the moment (ms).
 * Returns the copy's path.
 * @throws Error where it is damaged or cannot be copied; then nothing has been changed
 */
export async function copyBefore(file: string, now: number): Promise<string> {
  const copy = `${file}.before-${new Date(now).toISOString().slice(0, 19).replaceAll(':', '-')}`;
  try {
    const faults = await faultsOfFile(file);
    if (faults.length > 0) throw new Error(faults[0]);
    await copyDatabase(file, copy);
  } catch (failure) {
    throw new Error(`${file} was created by an earlier version of Fonte and could not be copied before the upgrade. Nothing was changed.`, {
      cause: failure,
    });
  }
  return copy;
}

import { closeSync, existsSync, openSync, readSync, statSync } from 'node:fs';
import { applicationId, makers, type Maker } from './dialect.ts';

/**
 * Who made the database at a path; `stranger` for a file that is none of ours, null when nothing is there. Read from the head
 * of the file, so that a look never makes or changes one.
 */
export function makerOf(file: string): Maker | 'stranger' | null {
  // A file of no bytes is one whose making was cut short.
  if (!existsSync(file) || statSync(file).size === 0) return null;
  const head = headOf(file);
  const isOurs = head !== null && head.readUInt32BE(68) === applicationId;
  const maker = (Object.keys(makers) as Maker[]).find((name) => makers[name] === head?.readUInt32BE(60));
  return isOurs && maker ? maker : 'stranger';
}

/** Whether a file is a database of the kind that ours are, whoever made it. */
export const isDatabase = (file: string): boolean => headOf(file) !== null;

/** The head of a database file; null where it is none. */
function headOf(file: string): Buffer | null {
  const head = Buffer.alloc(100);
  const handle = openSync(file, 'r');
  try {
    const isLongEnough = readSync(handle, head, 0, 100, 0) === 100;
    return isLongEnough && head.toString('latin1', 0, 15) === 'SQLite format 3' ? head : null;
  } finally {
    closeSync(handle);
  }
}

/** What a file is, whatever its name: null where there is none. */
export function identity(path: string): string | null {
  try {
    const { dev, ino } = statSync(path);
    return `${dev}:${ino}`;
  } catch {
    return null;
  }
}

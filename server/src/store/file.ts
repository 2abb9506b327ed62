import { closeSync, existsSync, openSync, readSync, statSync } from 'node:fs';
import { applicationId, makers, type Maker } from './dialect.ts';

/**
 * Who made the database at a path; `stranger` for a file that is none of ours, null when nothing is there. Read from the head
 * of the file, so that a look never makes or changes one.
 */
export function makerOf(file: string): Maker | 'stranger' | null {
  // A file of no bytes is one whose making was cut short.
  if (!existsSync(file) || statSync(file).size === 0) return null;
  const head = Buffer.alloc(100);
  const handle = openSync(file, 'r');
  try {
    if (readSync(handle, head, 0, 100, 0) < 100) return 'stranger';
  } finally {
    closeSync(handle);
  }
  const isOurs = head.toString('latin1', 0, 15) === 'SQLite format 3' && head.readUInt32BE(68) === applicationId;
  const maker = (Object.keys(makers) as Maker[]).find((name) => makers[name] === head.readUInt32BE(60));
  return isOurs && maker ? maker : 'stranger';
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

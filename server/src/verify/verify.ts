import { fork } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { programOf } from '../apart/apart.ts';
import type { Fault, VerifiedBook } from '../book/verify.ts';
import type { AskedToVerify, Said, Verified } from './said.ts';

/** What is told of a database while it is verified. */
export interface Listener {
  /** A book was looked at, whole or not. */
  book?: (verified: VerifiedBook) => void;
  /** Something that is as it should not be, outside of a book that was told. */
  fault?: (fault: Fault) => void;
  /** Something to know that is no fault. */
  note?: (sentence: string) => void;
}

/** A process that says nothing for so long (ms) has lost its way in a damaged file. */
const patience = 10 * 60_000;

const unreadable = (place: string): Fault => ({ where: place, what: 'cannot be read: the file is damaged there' });

/** Runs one process over what is not to be skipped. Returns what it had begun when it ended without having come to its end. */
function once(asked: AskedToVerify, tell: (said: Said) => void): Promise<string | null> {
  return new Promise((resolve, reject) => {
    const { file, before } = programOf('verify-child');
    const running = fork(file, before, { execArgv: [], stdio: ['ignore', 'ignore', 'ignore', 'ipc'] });
    let begun: string | null = 'database';
    const timer = setTimeout(() => running.kill('SIGKILL'), patience);
    running.on('message', (said: Verified) => {
      timer.refresh();
      if ('begins' in said) begun = said.begins;
      else if ('ends' in said) begun = null;
      else tell(said);
    });
    running.once('error', reject);
    running.once('close', () => {
      clearTimeout(timer);
      resolve(begun);
    });
    running.send(asked, () => undefined);
  });
}

/**
 * Verifies a database in processes of their own, so that no damaged page ends more than the look at one place: file, books, guards,
 * tables, kept files. One of an earlier version is verified as it will be once it is carried over. Returns how many faults there are.
 */
export async function verifyDatabase(file: string, listener: Listener = {}): Promise<number> {
  const folder = mkdtempSync(join(tmpdir(), 'fonte-verify-'));
  const skip: string[] = [];
  const told = new Set<string>();
  let faults = 0;
  const tell = (said: Said) => {
    if (told.has(said.place)) return;
    told.add(said.place);
    skip.push(...('note' in said ? [] : [said.place]));
    if ('note' in said) return listener.note?.(said.note);
    if ('book' in said) {
      faults += said.book.faults.length;
      return listener.book?.(said.book);
    }
    faults += said.faults.length;
    for (const fault of said.faults) listener.fault?.(fault);
  };
  try {
    for (;;) {
      const begun = await once({ file, skip, folder }, tell);
      if (begun === null) return faults;
      faults += 1;
      listener.fault?.(unreadable(begun));
      // Without these there is nothing else to look at.
      if (begun === 'database' || begun === 'list of books') return faults;
      skip.push(begun);
      rmSync(join(folder, 'carried-over.sqlite'), { force: true });
    }
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

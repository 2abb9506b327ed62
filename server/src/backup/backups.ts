import { fork } from 'node:child_process';
import { mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Backup } from '@fonte/core/endpoints';
import type { Clock } from '@fonte/core/time';
import { programOf } from '../apart/apart.ts';
import { verifyDatabase } from '../verify/index.ts';

/** Where copies are kept, at what time of the machine's day they are made, and how many stay. */
export interface BackupPlan {
  folder: string;
  /** Minutes after midnight, by the machine's own zone. */
  at: number;
  keep: number;
}

interface At {
  file: string;
  plan: BackupPlan;
  clock: Clock;
  /** Told what came of it, for the log. */
  told?: (said: { made: string } | { failed: string }) => void;
}

/** Copies a database in a process of its own: a large one takes its time, and nobody's request waits for it. @throws Error */
function copyApart(file: string, target: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const program = programOf('backup');
    const copying = fork(program.file, [...program.before, target, file], { execArgv: [], stdio: ['ignore', 'ignore', 'pipe', 'ipc'] });
    let said = '';
    copying.stderr?.on('data', (chunk: Buffer) => (said += chunk.toString()));
    copying.once('error', reject);
    copying.once('close', (code) =>
      code === 0 ? resolve() : reject(new Error(said.trim().split('\n')[0] || 'The copy came to nothing.')),
    );
  });
}

const minute = 60_000;
/** After a start nobody's first page waits for a copy; and after a failure it is tried again. All in ms. */
const settle = 2 * minute;
const again = 60 * minute;
/** A copy that is older than this (ms) is late: a day, and the hours that a machine was off. */
const late = 36 * 60 * minute;

const named = /^fonte-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)Z\.sqlite$/;
const nameOf = (at: number) => `fonte-${new Date(at).toISOString().slice(0, 19).replaceAll(':', '-')}Z.sqlite`;
const timeOf = (name: string): number | null => {
  const found = named.exec(name);
  return found ? Date.parse(`${found[1]}T${found[2]}:${found[3]}:${found[4]}Z`) : null;
};

/** The latest moment (ms) at which a copy was to be made, `at` minutes after midnight by the machine's zone, up to now. */
export function lastPlanned(now: number, at: number): number {
  const today = new Date(now);
  today.setHours(Math.floor(at / 60), at % 60, 0, 0);
  // The hour of a backup is one of the machine that makes it.
  // eslint-disable-next-line no-restricted-syntax
  if (today.getTime() > now) today.setDate(today.getDate() - 1);
  return today.getTime();
}

/**
 * Copies of the database once a day, also while it is written in. A copy has its name only once it was verified; the oldest go then, and
 * none before. What is in the folder says what was made, so that a restart or a restored database changes nothing about it.
 */
export class Backups {
  private failed: { at: number; why: string } | null = null;
  private running: Promise<void> | null = null;
  private timer: NodeJS.Timeout | null = null;
  private readonly from: number;

  constructor(private readonly is: At) {
    this.from = is.clock();
  }

  /** Begins to look each minute whether a copy is due. */
  start(): void {
    this.timer = setInterval(() => {
      if (this.isDue()) void this.make();
    }, minute);
    this.timer.unref();
  }

  /** Begins no other. Nobody who stops a server waits for a copy under way: it has no name yet, and is made again. */
  stop(): void {
    if (this.timer) clearInterval(this.timer);
  }

  /** What stands of the copies. */
  tell(): Backup {
    const last = this.made().at(-1) ?? null;
    const since = last ?? this.from;
    const isFailing = this.failed !== null && this.failed.at > (last ?? 0);
    return { last, failed: isFailing ? this.failed : null, isLate: this.is.clock() - since > late };
  }

  /** Makes a copy now, verifies it, and lets the oldest go. */
  make(): Promise<void> {
    this.running ??= this.copy()
      .catch((failure: unknown) => this.fail(failure instanceof Error ? failure.message : String(failure)))
      .finally(() => {
        this.running = null;
      });
    return this.running;
  }

  private isDue(): boolean {
    const now = this.is.clock();
    if (now - this.from < settle || (this.failed && now - this.failed.at < again)) return false;
    return (this.made().at(-1) ?? 0) < lastPlanned(now, this.is.plan.at);
  }

  /** The moments of the copies there are, the newest last. */
  private made(): number[] {
    try {
      return readdirSync(this.is.plan.folder)
        .flatMap((name) => timeOf(name) ?? [])
        .sort((one, other) => one - other);
    } catch {
      return [];
    }
  }

  private async copy(): Promise<void> {
    const { file, plan, clock, told } = this.is;
    const path = (name: string) => join(plan.folder, name);
    mkdirSync(plan.folder, { recursive: true, mode: 0o700 });
    const at = clock();
    const draft = path(`${nameOf(at)}.being-made`);
    for (const name of readdirSync(plan.folder)) if (name.endsWith('.being-made')) rmSync(path(name));
    await copyApart(file, draft);
    const faults = await verifyDatabase(draft);
    if (faults > 0) {
      rmSync(draft, { force: true });
      return this.fail('The copy was not whole. Verify the database.');
    }
    renameSync(draft, path(nameOf(at)));
    this.failed = null;
    for (const old of this.made().slice(0, -plan.keep)) rmSync(path(nameOf(old)), { force: true });
    told?.({ made: path(nameOf(at)) });
  }

  private fail(why: string): void {
    this.failed = { at: this.is.clock(), why };
    this.is.told?.({ failed: why });
  }
}

import { randomBytes } from 'node:crypto';
import { chmodSync, closeSync, mkdirSync, openSync } from 'node:fs';
import { dirname } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import type { DataSource, QueryRunner } from 'typeorm';
import { connectTo, patience } from './connection.ts';
import { copyBefore } from './copy.ts';
import { applicationId, failureOf, makers, type Maker } from './dialect.ts';
import { Conflict, StorageFault, type StoreHealth } from './faults.ts';
import { identity, makerOf } from './file.ts';
import { canBeOpened, generationOf } from './generation.ts';
import { logOf, markClosed, markOpen } from './look.ts';

export type Query = <R = unknown>(sql: string, values?: readonly unknown[]) => Promise<R>;

export interface StoreOptions {
  /** Who makes the file, if it is not there: its head says so for good. */
  madeBy?: Maker;
  /** For a look only: nothing is made, changed or migrated. */
  readOnly?: boolean;
  /** Told where a database of an earlier version was carried over, and where it lies as it was. */
  onCarriedOver?: (copy: string) => void;
  /** A server may have it open meanwhile: whose log it is, is left to that. */
  beside?: boolean;
  /** Opens one whose log is missing: somebody has said that what was in it is lost. */
  withoutLog?: boolean;
  /** Leaves no copy where a database is carried over: it is one already. */
  isCopy?: boolean;
  /** Told of every fault, for the log. */
  onFault?: (fault: StorageFault) => void;
  now?: () => number;
}

/**
 * The database file. One connection writes, in short transactions that are on the disk when they are said to be; another
 * reads, and sees only what was committed. After any fault both are opened anew.
 */
export class Store {
  private writer!: DataSource;
  private reader!: DataSource;
  private writing!: QueryRunner;
  private reading!: QueryRunner;
  private reopening: Promise<void> | null = null;
  private lastWrite: Promise<unknown> = Promise.resolve();
  private isOpen = false;
  /** Reads under way. */
  private reads = 0;
  private health: StoreHealth = { ok: true };
  private files: { main: string | null; log: string | null } = { main: null, log: null };

  private constructor(
    readonly file: string,
    private readonly options: StoreOptions,
  ) {}

  /**
   * Opens a database file, and makes it where there is none. One of an earlier version is copied first, and then carried over.
   * @throws Error when the path holds something else, or what it holds cannot be carried over
   */
  static async open(file: string, options: StoreOptions = {}): Promise<Store> {
    const found = await generationOf(file);
    const isNew = found.is === 'absent';
    const isLet = canBeOpened(found) || (isNew && !options.readOnly) || (found.is === 'log-missing' && options.withoutLog);
    if (!isLet && 'sentence' in found) throw new Error(found.sentence);
    if (isNew) {
      mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
      closeSync(openSync(file, 'a', 0o600));
    }
    if (!options.readOnly) chmodSync(file, 0o600);
    const copy = found.is === 'older' && !options.readOnly && !options.isCopy ? await copyBefore(file, (options.now ?? Date.now)()) : null;
    const store = new Store(file, options);
    await store.connect(isNew);
    if (copy !== null) options.onCarriedOver?.(copy);
    return store;
  }

  /** Reads what was committed. A lock of another process is waited for. @throws StorageFault */
  async read<R>(sql: string, values: readonly unknown[] = []): Promise<R> {
    const until = performance.now() + patience;
    for (;;) {
      await this.reopening;
      if (!this.isOpen) throw this.failed(new StorageFault('failed'));
      this.reads += 1;
      try {
        return (await this.reading.query(sql, values as unknown[])) as R;
      } catch (error) {
        if (failureOf(error) !== 'busy') throw this.failed(new StorageFault('failed', { cause: error }));
        if (performance.now() > until) throw this.failed(new StorageFault('busy', { cause: error }));
      } finally {
        this.reads -= 1;
      }
      await wait(10);
    }
  }

  /**
   * Writes in one transaction, after those that were asked for before. When it returns, everything is on the disk, in the
   * file of that path.
   * @throws Conflict, StorageFault
   */
  write<T>(work: (query: Query) => Promise<T>): Promise<T> {
    return this.inTurn(() => this.transact(work));
  }

  /** How the storage is now: proven by a write where the last one failed, by the files and a read otherwise. */
  async check(): Promise<StoreHealth> {
    try {
      if (!this.health.ok)
        // Large enough to need room: a full disk may still take a byte.
        await this.write((query) =>
          query(`INSERT INTO about VALUES ('proof', ?) ON CONFLICT (name) DO UPDATE SET value = excluded.value`, [
            randomBytes(1 << 16).toString('hex'),
          ]),
        );
      else {
        await this.inTurn(() => this.proveFiles());
        await this.read('SELECT 1 FROM about');
      }
    } catch (error) {
      if (!(error instanceof StorageFault)) throw error;
    }
    return this.health;
  }

  /** Brings everything into the main file and closes it. */
  close(): Promise<void> {
    return this.inTurn(async () => {
      if (this.isOpen && !this.options.readOnly)
        for (const statement of [...(this.options.beside ? [] : markClosed), 'PRAGMA wal_checkpoint(TRUNCATE)'])
          await this.writing.query(statement).catch(() => undefined);
      await this.disconnect();
    });
  }

  /** One after the other: what writes, proves or closes never overlaps. */
  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const done = this.lastWrite.then(work);
    this.lastWrite = done.catch(() => undefined);
    return done;
  }

  private async transact<T>(work: (query: Query) => Promise<T>): Promise<T> {
    if (!this.isOpen) await this.reopen();
    if (!this.isOpen) throw this.failed(new StorageFault('failed'));
    await this.begin();
    let result: T;
    try {
      result = await work((sql, values = []) => this.writing.query(sql, values as unknown[]));
      await this.writing.query('COMMIT');
    } catch (error) {
      const isSound = await this.provenSound();
      if (isSound && (error instanceof Conflict || failureOf(error) === 'conflict'))
        throw new Conflict('A key is taken.', { cause: error });
      if (!isSound) await this.reopen();
      throw this.failed(new StorageFault('failed', { cause: error }));
    }
    await this.proveFiles();
    this.health = { ok: true };
    return result;
  }

  private async begin(): Promise<void> {
    const until = performance.now() + patience;
    for (;;) {
      try {
        await this.writing.query('BEGIN IMMEDIATE');
        return;
      } catch (error) {
        if (failureOf(error) === 'busy' && performance.now() < until) {
          await wait(5 + Math.random() * 10);
          continue;
        }
        const code = failureOf(error) === 'busy' ? 'busy' : 'failed';
        if (code === 'failed') await this.reopen();
        throw this.failed(new StorageFault(code, { cause: error }));
      }
    }
  }

  /**
   * Whether after a fault the transaction is surely undone: a new one can be begun, which a half-open one would refuse. Some
   * faults end the transaction by themselves; rolling back then is an error that means nothing.
   */
  private async provenSound(): Promise<boolean> {
    await this.writing.query('ROLLBACK').catch(() => undefined);
    try {
      await this.writing.query('BEGIN IMMEDIATE');
      await this.writing.query('ROLLBACK');
      return true;
    } catch {
      return false;
    }
  }

  /**
   * Whether the files at the path are still the ones that are open. A log that was deleted under the server would take every
   * later commit with it: what is in it is brought into the main file, and the database is opened anew.
   */
  private async proveFiles(): Promise<void> {
    const now = { main: identity(this.file), log: identity(logOf(this.file)) };
    if (this.files.log === null) this.files.log = now.log;
    if (now.main === this.files.main && now.log === this.files.log && now.log !== null) return;
    const fault = new StorageFault(now.main === this.files.main ? 'log-gone' : 'file-gone');
    if (fault.code === 'log-gone') await this.writing.query('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
    await this.reopen();
    throw this.failed(fault);
  }

  private failed(fault: StorageFault): StorageFault {
    if (this.health.ok) this.health = { ok: false, code: fault.code, since: (this.options.now ?? Date.now)() };
    else this.health = { ...this.health, code: fault.code };
    this.options.onFault?.(fault);
    return fault;
  }

  private reopen(): Promise<void> {
    this.reopening ??= (async () => {
      try {
        await this.disconnect();
        // A file that is gone is not made again: an empty database in its place would lie.
        const maker = makerOf(this.file);
        if (maker !== null && maker !== 'stranger') await this.connect(false);
      } catch {
        // It stays closed; the next attempt says so again.
      } finally {
        this.reopening = null;
      }
    })();
    return this.reopening;
  }

  private async disconnect(): Promise<void> {
    this.isOpen = false;
    // The driver dies of a statement whose connection was closed under it.
    while (this.reads > 0) await wait(1);
    for (const connection of [this.reader, this.writer]) await (connection as DataSource | undefined)?.destroy().catch(() => undefined);
  }

  private async connect(isNew: boolean): Promise<void> {
    if (!this.options.readOnly)
      this.writer = await connectTo(
        this.file,
        [
          ...(isNew ? [`application_id=${applicationId}`, `user_version=${makers[this.options.madeBy ?? 'fonte']}`] : []),
          'journal_mode=WAL',
        ],
        true,
      );
    this.reader = await connectTo(this.file, ['query_only=ON'], false);
    if (!this.options.readOnly) {
      this.writing = this.writer.createQueryRunner();
      // On a full disk it is read all the same.
      for (const statement of this.options.beside ? [] : markOpen(this.file)) await this.writing.query(statement).catch(() => undefined);
    }
    this.reading = this.reader.createQueryRunner();
    this.files = { main: identity(this.file), log: identity(logOf(this.file)) };
    this.isOpen = true;
  }
}

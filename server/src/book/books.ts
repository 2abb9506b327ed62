import { chained, sameEntry, type BookEntry, type Entry, type Misfit } from '@fonte/core/book';
import { server } from '@fonte/core/roles';
import { belongsIn, inPresentVersion, opens, type RoundState } from '@fonte/core/round';
import { registerOf } from '@fonte/core/registers';
import type { Clock } from '@fonte/core/time';
import { LRUCache } from 'lru-cache';
import { Problem } from '../http/index.ts';
import { Conflict, marks, StorageFault, type EntryRow, type Store } from '../store/index.ts';
import { fromRow, loadEntries, sha256 } from './codec.ts';
import type { Derivation } from './derivation.ts';
import { checkAuthor, checkCode, checkRegistered, checkScope, checkSignature, codeOf, readOrRefuse, type Parsed } from './door.ts';
import { settleApart } from './apart.ts';
import { checkFiles } from './named.ts';
import { proofsOf, type Proofs } from './proofs.ts';
import { StagedRegistry, type Remembered } from './registry.ts';

import { idIn, commit, Stage, type Job, type Outcome, type Staged } from './stage.ts';
import { takeWordsAway } from './unreadable.ts';
import { asideIn, emptyView, readView, type BookView } from './view.ts';

/** So many entries share one transaction and one sync at the most, unless one request alone has more. */
const largestGroup = 2000;
const attempts = 8;
/** Entries held in memory over all books. */
const entriesInMemory = 300_000;

/**
 * The append-only books. Requests that come while the disk is busy are written together: in one transaction, with one sync.
 * What is acknowledged is on the disk. The lock is the unique number of an entry in its book, not this process: where another
 * one has written in between, the group is prepared anew on what stands.
 */
export class Books {
  private readonly queue: Job[] = [];
  private running: Promise<void> | null = null;
  private readonly remembered: Remembered = new Map();
  private readonly views = new LRUCache<string, BookView>({
    maxSize: entriesInMemory,
    sizeCalculation: (view) => view.entries.length + 20,
  });

  constructor(
    private readonly store: Store,
    private readonly clock: Clock,
    private readonly derivation: Derivation,
    /** Told of a fault that one entry ran into and that is ours, not the sender's. */
    private readonly onFault: (fault: unknown) => void = () => undefined,
  ) {}

  /** A book as it stands, or null when there is none such. */
  async view(book: string): Promise<BookView | null> {
    const known = this.views.get(book);
    const view = known ? await this.caughtUp(known) : readView(this.derivation, book, await loadEntries(this.store, book));
    // While this was read, an append may have made a newer one.
    const newest = this.views.get(book);
    if (!view || (newest && newest.entries.length >= view.entries.length)) return newest ?? view;
    this.views.set(book, view);
    return view;
  }

  /** The state of a round. @throws Problem 404 when there is none. */
  async round(book: string): Promise<RoundState> {
    const round = (await this.view(book))?.round;
    if (!round) throw new Problem(404, 'no-round', 'There is no such round.');
    return round;
  }

  /**
   * Appends entries that a device sent, of one book or of many, in one transaction. Each is answered by itself: what is
   * malformed, forbidden or an altered copy is refused; what does not fit stands aside; what stands already is acknowledged.
   * @param sentAt the device's clock at sending
   * @param scope the one book that may be written in, where not all may
   * @throws StorageFault when nothing of it was written, or it is not known whether it was
   */
  append(book: string | null, sent: readonly unknown[], sentAt: string | null, scope: Job['scope'] = null): Promise<Outcome[]> {
    return this.enqueue({ book, sent, sentAt, madeBy: 'device', scope });
  }

  /** Appends entries that the server makes: of its own, or in the name of a person who asked for it. @throws Problem, StorageFault */
  async appendOwn(...entries: readonly Entry[]): Promise<BookEntry[]> {
    const outcomes = await this.enqueue({ book: null, sent: entries, sentAt: null, madeBy: 'server', scope: null });
    return outcomes.map((outcome) => {
      if ('problem' in outcome) throw outcome.problem;
      return outcome.entry;
    });
  }

  /** Resolves when everything that was handed in is settled. */
  async idle(): Promise<void> {
    while (this.running) await this.running;
  }

  /**
   * Takes words away for good: others stand in their place, without the salt, so that what was said cannot be guessed back from
   * the hash; the book records it. Entries of before there were salts stay as they are. Returns how many were changed.
   */
  async makeUnreadable(words: ReadonlyMap<BookEntry, unknown>, why: string): Promise<number> {
    const changes = [...words].filter(([entry]) => entry.salt !== undefined);
    const books = [...new Set(changes.map(([entry]) => entry.book))];
    const said = new Map(changes.map(([{ id }, payload]) => [id, payload]));
    await this.alone(async () => {
      for (const book of books) {
        await takeWordsAway(this.store, this.derivation, serverPen(book, this.clock()), said, why);
        this.views.delete(book);
        this.remembered.delete(book);
      }
    });
    return changes.length;
  }

  /** Does something while no entries are taken in; they wait. */
  private async alone(work: () => Promise<void>): Promise<void> {
    while (this.running) await this.running;
    const done = work();
    this.running = done
      .catch(() => undefined)
      .then(() => {
        this.running = this.queue.length > 0 ? this.run() : null;
      });
    await done;
  }

  private enqueue(job: Omit<Job, 'settle' | 'fail'>): Promise<Outcome[]> {
    return new Promise((settle, fail) => {
      this.queue.push({ ...job, settle, fail });
      this.running ??= this.run();
    });
  }

  private async run(): Promise<void> {
    // Whoever came in the same turn of the loop shares the first group.
    await Promise.resolve();
    while (this.queue.length > 0) {
      const group: Job[] = [];
      for (let size = 0; this.queue[0] && (size === 0 || size + this.queue[0].sent.length <= largestGroup);)
        size += group[group.push(this.queue.shift()!) - 1]!.sent.length;
      try {
        const outcomes = await this.settle(group);
        group.forEach((job, index) => job.settle(outcomes[index]!));
      } catch (error) {
        if (error instanceof StorageFault || error instanceof Conflict) for (const job of group) job.fail(error);
        else await settleApart(group, (jobs) => this.settle(jobs), this.onFault);
      }
    }
    // In the same turn in which the queue was seen empty: whoever comes next starts anew.
    this.running = null;
  }

  private async settle(group: readonly Job[]): Promise<Outcome[][]> {
    for (let attempt = 1; ; attempt += 1) {
      const stage = new Stage(new StagedRegistry(this.store, this.remembered));
      try {
        await this.findKnown(stage, group);
        const prepared: (() => Outcome)[][] = [];
        for (const job of group) prepared.push(await this.prepare(stage, job));
        const views = await commit(this.store, stage);
        for (const [book, view] of views) this.views.set(book, view);
        return prepared.map((outcomes) => outcomes.map((outcome) => outcome()));
      } catch (error) {
        // Nothing that was prepared stands; what memory holds may be older than the file.
        for (const book of stage.books.keys()) this.views.delete(book);
        if (error instanceof StorageFault) this.views.clear();
        if (!(error instanceof Conflict) || attempt === attempts) throw error;
      }
    }
  }

  /** Entries of the group that stand in a book already. */
  private async findKnown(stage: Stage, group: readonly Job[]): Promise<void> {
    const ids = group.flatMap((job) => job.sent.flatMap((sent) => idIn(sent)));
    for (let at = 0; at < ids.length; at += 500) {
      const some = ids.slice(at, at + 500);
      const rows = await this.store.read<EntryRow[]>(`SELECT * FROM entries WHERE id IN (${marks(some.length)})`, some);
      for (const row of rows) stage.entries.set(row.id, fromRow(row));
    }
  }

  private async prepare(stage: Stage, job: Job): Promise<(() => Outcome)[]> {
    const outcomes: (() => Outcome)[] = [];
    const read = job.sent.map((sent) => readOrRefuse(job.book, sent));
    const proofs = await proofsOf(job.madeBy === 'device' ? read : [], stage.registry, (id) => stage.entries.has(id));
    for (const parsed of read) {
      try {
        if (parsed instanceof Problem) throw parsed;
        outcomes.push(await this.prepareOne(stage, job, parsed, proofs));
      } catch (problem) {
        if (!(problem instanceof Problem)) throw problem;
        outcomes.push(() => ({ problem }));
      }
    }
    return outcomes;
  }

  private async prepareOne(stage: Stage, job: Job, parsed: Parsed, proofs: Proofs): Promise<() => Outcome> {
    const { entry } = parsed;
    const earlier = stage.entries.get(entry.id);
    if (earlier) {
      if (!sameEntry(earlier, entry))
        throw new Problem(409, 'altered-copy', 'Another entry has this id. Nothing was written.', [
          { path: 'id', message: 'Another entry has this id.' },
        ]);
      return () => ({ entry: earlier, isNew: false, aside: this.asideNow(earlier) });
    }
    await checkAuthor(stage.registry, entry, job.madeBy);
    checkScope(entry, job.scope);
    await checkFiles(this.store, entry);
    const receivedAt = new Date(this.clock()).toISOString();
    const doubt = job.madeBy === 'device' ? await checkSignature(stage.registry, parsed, receivedAt, proofs.prove) : null;
    const staged = await this.staged(stage, entry);
    if (!belongsIn(entry.kind, staged.before.type))
      throw new Problem(422, 'other-kind', 'No entry of this kind belongs in this book.', [
        { path: 'kind', message: `“${entry.kind}” does not belong in this book.` },
      ]);
    await checkRegistered(stage.registry, entry);
    if (opens(entry.kind)) {
      await checkCode(this.store, entry, stage.codes);
      const named = codeOf(entry);
      if (named) stage.codes.set(`${named.table} ${named.register} ${named.code}`, entry.book);
    }
    const last = staged.added.at(-1);
    const head = last ? { count: last.seq, hash: last.hash } : staged.before.head;
    const added = chained(entry, head, { sentAt: job.sentAt, receivedAt, ...(doubt ? { doubt } : {}) }, sha256, parsed.content);
    stage.texts.set(added.id, parsed.text);
    staged.added.push(added);
    stage.books.set(entry.book, staged);
    stage.entries.set(added.id, added);
    const register = registerOf(entry.kind);
    if (register) stage.registry.add(register, inPresentVersion(entry).payload as { id: string });
    return () => ({ entry: added, isNew: true, aside: this.asideNow(added) });
  }

  private asideNow({ book, id }: BookEntry): Misfit | null {
    const view = this.views.get(book);
    return view ? asideIn(view, id) : null;
  }

  private async staged(stage: Stage, entry: Entry): Promise<Staged> {
    const known = stage.books.get(entry.book);
    if (known) return known;
    const before = await this.view(entry.book);
    if (before) return { before, added: [], isOpened: false };
    const type = opens(entry.kind);
    if (!type) throw new Problem(409, 'no-book', 'There is no such book.', [{ path: 'book', message: 'There is no such book.' }]);
    return { before: emptyView(this.derivation, entry.book, type), added: [], isOpened: true };
  }

  /** A view with what another process has written since. */
  private async caughtUp(known: BookView): Promise<BookView | null> {
    const count = known.head?.count ?? 0;
    const more = await this.store.read<{ seq: number }[]>('SELECT seq FROM entries WHERE book = ? AND seq > ? LIMIT 1', [
      known.book,
      count,
    ]);
    return more.length === 0 ? known : readView(this.derivation, known.book, await loadEntries(this.store, known.book));
  }
}

/** What the server signs its own entries with. */
export const serverPen = (book: string, now: number) => ({ book, author: server, device: server, now, offset: 0 });

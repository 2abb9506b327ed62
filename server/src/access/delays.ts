import { Problem } from '../http/index.ts';
import type { Store } from '../store/index.ts';
import { digestOf } from './secrets.ts';

/** So often somebody may be wrong before they have to wait. */
const free = 3;
/** The longest wait, in ms. */
const longest = 15 * 60_000;

/** How long to wait after so many failures, in ms: 0 for the first, then 2, 4, 8 … s, up to a quarter of an hour. */
export function waitAfter(failures: number): number {
  return failures < free ? 0 : Math.min(longest, 2 ** (failures - free + 1) * 1000);
}

interface TryRow {
  failures: number;
  until: number;
}

/** Failed attempts by what was tried, whether it exists or not. They outlast a restart. */
export class Delays {
  private readonly trying = new Map<string, Promise<void>>();

  constructor(
    private readonly store: Store,
    private readonly clock: () => number,
  ) {}

  /**
   * Tries something that may be wrong, one attempt after the other, so that many at once are no way around the wait.
   * @throws Problem 429 while there is still to be waited
   */
  async attempt(what: string, isRight: () => Promise<boolean>): Promise<boolean> {
    const before = this.trying.get(what) ?? Promise.resolve();
    const tried = before.then(() => this.tryOnce(what, isRight));
    const done = tried.then(
      () => undefined,
      () => undefined,
    );
    this.trying.set(what, done);
    void done.then(() => {
      if (this.trying.get(what) === done) this.trying.delete(what);
    });
    return tried;
  }

  /** How often something was tried wrongly since it was last right. */
  async failures(what: string): Promise<number> {
    return Number((await this.row(what))?.failures ?? 0);
  }

  /** Counts what nobody has to wait for, and says how often it was. */
  async count(what: string): Promise<number> {
    const failures = (await this.failures(what)) + 1;
    await this.store.write((query) =>
      query('INSERT INTO tries VALUES (?, ?, ?) ON CONFLICT (id) DO UPDATE SET failures = excluded.failures', [
        digestOf(what),
        failures,
        0,
      ]),
    );
    return failures;
  }

  private async tryOnce(what: string, isRight: () => Promise<boolean>): Promise<boolean> {
    const row = await this.row(what);
    const left = row ? Number(row.until) - this.clock() : 0;
    if (left > 0) {
      const wait = left > 90_000 ? `${Math.ceil(left / 60_000)} min` : `${Math.ceil(left / 1000)} s`;
      throw new Problem(429, 'wait', `Too many attempts. Wait ${wait}, then try again.`);
    }
    const right = await isRight();
    if (right) await this.store.write((query) => query('DELETE FROM tries WHERE id = ?', [digestOf(what)]));
    else await this.failed(what, Number(row?.failures ?? 0) + 1);
    return right;
  }

  private async failed(what: string, failures: number): Promise<void> {
    const values = [digestOf(what), failures, this.clock() + waitAfter(failures)];
    await this.store.write((query) =>
      query(
        'INSERT INTO tries VALUES (?, ?, ?) ON CONFLICT (id) DO UPDATE SET failures = excluded.failures, until = excluded.until',
        values,
      ),
    );
  }

  private async row(what: string): Promise<TryRow | undefined> {
    return (await this.store.read<TryRow[]>('SELECT failures, until FROM tries WHERE id = ?', [digestOf(what)]))[0];
  }
}

import { plainSignInName, type Account } from '@fonte/core/access';
import type { Person } from '@fonte/core/registers';
import type { Clock } from '@fonte/core/time';
import { Problem } from '../http/index.ts';
import { Conflict, type Store } from '../store/index.ts';
import { digestOf, hashOf, newToken } from './secrets.ts';
import { checkStrength } from './strength.ts';

interface AccountRow {
  person: string;
  name: string;
  passphrase: string | null;
  seen: number | null;
}

interface InvitationRow {
  person: string;
  round: string | null;
  until: number;
}

export const nameTaken = () =>
  new Problem(409, 'name-taken', 'Somebody else signs in under this name. A coordinator can register you under another one.');

const noInvitation = () => new Problem(404, 'no-invitation', 'This link was used already, or is too old. Ask for a new one.');

/** What lets people in: a name and a passphrase each, and links that work once. */
export class Accounts {
  constructor(
    private readonly store: Store,
    private readonly clock: Clock,
  ) {}

  /** Whether nobody has been let in yet. */
  async isEmpty(): Promise<boolean> {
    return (await this.store.read<unknown[]>('SELECT 1 FROM accounts LIMIT 1')).length === 0;
  }

  async named(name: string): Promise<AccountRow | null> {
    return (await this.store.read<AccountRow[]>('SELECT * FROM accounts WHERE name = ?', [plainSignInName(name)]))[0] ?? null;
  }

  async of(person: string): Promise<AccountRow | null> {
    return (await this.store.read<AccountRow[]>('SELECT * FROM accounts WHERE person = ?', [person]))[0] ?? null;
  }

  /**
   * Lets a person in by a passphrase from now on.
   * @throws Problem 409 where somebody else signs in under that name, 422 where it is too easy to guess
   */
  async open(person: Person, passphrase: string): Promise<void> {
    checkStrength(passphrase, person.name);
    const values = [person.id, plainSignInName(person.name), await hashOf(passphrase)];
    try {
      await this.store.write((query) =>
        query(
          'INSERT INTO accounts (person, name, passphrase) VALUES (?, ?, ?) ON CONFLICT (person) DO UPDATE SET name = excluded.name, passphrase = excluded.passphrase',
          values,
        ),
      );
    } catch (error) {
      if (!(error instanceof Conflict)) throw error;
      throw nameTaken();
    }
  }

  async close(person: string): Promise<void> {
    await this.store.write(async (query) => {
      for (const table of ['accounts', 'invitations', 'passkeys', 'sessions'])
        await query(`DELETE FROM ${table} WHERE person = ?`, [person]);
    });
  }

  /** A link for a person; those of before are worth nothing any more. */
  async invite(person: string, round: string | null, until: number): Promise<string> {
    const token = newToken();
    await this.store.write(async (query) => {
      await query('DELETE FROM invitations WHERE person = ?', [person]);
      await query('INSERT INTO invitations VALUES (?, ?, ?, ?)', [digestOf(token), person, round, until]);
    });
    return token;
  }

  /** Whom a link lets in. @throws Problem 404 where it is used up, too old or none */
  async invited(token: string): Promise<InvitationRow> {
    const [row] = await this.store.read<InvitationRow[]>('SELECT * FROM invitations WHERE id = ?', [digestOf(token)]);
    if (!row || Number(row.until) < this.clock()) throw noInvitation();
    return row;
  }

  /** Uses a link up. @throws Problem 404 where somebody was quicker */
  async use(token: string): Promise<void> {
    const id = digestOf(token);
    const found = await this.store.write(async (query) => {
      const rows = await query<unknown[]>('SELECT 1 FROM invitations WHERE id = ?', [id]);
      await query('DELETE FROM invitations WHERE id = ?', [id]);
      return rows.length;
    });
    if (found === 0) throw noInvitation();
  }

  /** What stands of everybody's access. */
  async list(): Promise<Account[]> {
    const rows = await this.store.read<(Omit<Account, 'state' | 'role'> & { data: string; open: number; invited: number })[]>(
      `SELECT things.id AS person, things.data AS data, accounts.seen AS seen, accounts.person IS NOT NULL AS open,
        (SELECT COUNT(*) FROM invitations WHERE invitations.person = things.id AND until > ?) AS invited,
        (SELECT COUNT(*) FROM passkeys WHERE passkeys.person = things.id) AS passkeys,
        (SELECT COUNT(*) FROM sessions WHERE sessions.person = things.id) AS sessions
       FROM things LEFT JOIN accounts ON accounts.person = things.id WHERE things.register = 'people' ORDER BY things.name, things.id`,
      [this.clock()],
    );
    return rows.map(({ data, open, invited, person, seen, passkeys, sessions }) => {
      const { role, left } = JSON.parse(data) as Person;
      const state = left ? 'ended' : open ? 'open' : invited ? 'invited' : 'none';
      return { person, state, role, passkeys: Number(passkeys), seen: seen === null ? null : Number(seen), sessions: Number(sessions) };
    });
  }
}

import { sessionLasts, type Me, type Scope } from '@fonte/core/access';
import type { Person } from '@fonte/core/registers';
import type { Clock } from '@fonte/core/time';
import { parse } from 'cookie';
import type { Request, Response } from 'express';
import { thing } from '../book/registry.ts';
import type { Who } from '../http/index.ts';
import type { Store } from '../store/index.ts';
import { digestOf, newToken } from './secrets.ts';

/** The name of the cookie that holds a session's token: no script of a page can read it, no other site has it sent. */
export const cookieName = 'fonte-session';

/** Browsers send a cookie to every port of a host: one that says its port belongs to one server. The usual ports go without. */
function cookieOf(request: Request): string {
  const [, port] = /:(\d{1,5})$/.exec(request.headers.host ?? '') ?? [];
  return port === undefined || port === '80' || port === '443' ? cookieName : `${cookieName}-${port}`;
}

/** The token that a browser sends; of a session that was opened before cookies said their port, too. */
function tokenOf(request: Request): string | undefined {
  const cookies = parse(request.headers.cookie ?? '');
  return cookies[cookieOf(request)] ?? cookies[cookieName];
}

/** How far apart, in ms, a session's use is written down. */
const seenEvery = 10 * 60_000;

export interface SessionRow {
  id: string;
  person: string;
  device: string | null;
  opened: number;
  seen: number;
  /** JSON: when each person of it last proved who they are. */
  proven: string;
  scope: string | null;
  said: string;
}

/** Who is signed in, by a token in a cookie. Everything about a session is kept here, and ends here. */
export class Sessions {
  constructor(
    private readonly store: Store,
    private readonly clock: Clock,
  ) {}

  /** Who a request comes from, or null. A session that was not used for long, or whose person has left, is none. */
  async of(request: Request): Promise<Who | null> {
    const token = tokenOf(request);
    if (!token || token.length > 100) return null;
    const [row] = await this.store.read<SessionRow[]>('SELECT * FROM sessions WHERE id = ?', [digestOf(token)]);
    if (!row || this.clock() - Number(row.seen) > sessionLasts) return null;
    const person = await thing(this.store, 'people', row.person);
    if (!person || person.left) return null;
    const device = row.device === null ? null : await thing(this.store, 'devices', row.device);
    if (device?.revoked) return null;
    // Nobody who reads waits for it, nor fails with it.
    if (this.clock() - Number(row.seen) > seenEvery) this.change(row.id, { seen: this.clock() }).catch(() => undefined);
    return {
      session: row.id,
      person,
      device,
      provenAt: (JSON.parse(row.proven) as Record<string, number>)[person.id] ?? 0,
      scope: row.scope === null ? null : (JSON.parse(row.scope) as Scope),
    };
  }

  /** Opens a session and hands its token to the browser; the one the browser had ends. */
  async open(
    request: Request,
    response: Response,
    person: Person,
    { scope = null, proven = true }: { scope?: Scope | null; proven?: boolean } = {},
  ): Promise<Who> {
    const before = tokenOf(request);
    const token = newToken();
    const now = this.clock();
    const row: SessionRow = {
      id: digestOf(token),
      person: person.id,
      device: null,
      opened: now,
      seen: now,
      proven: JSON.stringify(proven ? { [person.id]: now } : {}),
      scope: scope && JSON.stringify(scope),
      said: (request.headers['user-agent'] ?? '').slice(0, 200),
    };
    await this.store.write(async (query) => {
      if (before) await query('DELETE FROM sessions WHERE id = ?', [digestOf(before)]);
      await query('INSERT INTO sessions VALUES (?, ?, ?, ?, ?, ?, ?, ?)', [
        row.id,
        row.person,
        row.device,
        row.opened,
        row.seen,
        row.proven,
        row.scope,
        row.said,
      ]);
      await query('UPDATE accounts SET seen = ? WHERE person = ?', [now, person.id]);
    });
    response.cookie(cookieOf(request), token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      path: '/',
      maxAge: sessionLasts,
    });
    return { session: row.id, person, device: null, provenAt: proven ? now : 0, scope };
  }

  /** Another person, or another device, from now on. */
  async change(id: string, change: Partial<Pick<SessionRow, 'person' | 'device' | 'seen'>>): Promise<void> {
    const columns = Object.keys(change);
    await this.store.write((query) =>
      query(`UPDATE sessions SET ${columns.map((column) => `${column} = ?`).join(', ')} WHERE id = ?`, [...Object.values(change), id]),
    );
  }

  /** A person of a session has just proven who they are. */
  async proven({ session, person }: Who): Promise<void> {
    const [row] = await this.store.read<SessionRow[]>('SELECT proven FROM sessions WHERE id = ?', [session]);
    const proven = { ...(JSON.parse(row?.proven ?? '{}') as Record<string, number>), [person.id]: this.clock() };
    await this.store.write((query) => query('UPDATE sessions SET proven = ? WHERE id = ?', [JSON.stringify(proven), session]));
  }

  async end(response: Response | null, id: string): Promise<void> {
    await this.store.write((query) => query('DELETE FROM sessions WHERE id = ?', [id]));
    for (const name of response ? [cookieName, cookieOf(response.req)] : []) response?.clearCookie(name, { path: '/' });
  }

  /** Ends all sessions of a person, or on a device, but one. */
  async endAll(of: { person: string } | { device: string }, but = ''): Promise<void> {
    const [[column, value]] = Object.entries(of) as [[string, string]];
    await this.store.write((query) => query(`DELETE FROM sessions WHERE ${column} = ? AND id <> ?`, [value, but]));
  }
}

/** What a person is told of themselves. */
export const meOf = ({ person, device, provenAt, scope }: Who): Me => ({ person, device: device, provenAt, scope });

/** Ends every session and every link: after a database was restored, what was ended since its copy would be good again. */
export async function endAllAccess(store: Store): Promise<void> {
  await store.write(async (query) => {
    for (const table of ['sessions', 'invitations']) await query(`DELETE FROM ${table}`);
  });
}

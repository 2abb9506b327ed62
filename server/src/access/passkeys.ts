import type { VerifyAuthenticationResponseOpts, VerifyRegistrationResponseOpts } from '@simplewebauthn/server';
import type { Person } from '@fonte/core/registers';
import type { Clock } from '@fonte/core/time';
import type { Request } from 'express';
import { LRUCache } from 'lru-cache';
import { Problem } from '../http/index.ts';
import type { Store } from '../store/index.ts';

interface PasskeyRow {
  id: string;
  person: string;
  /** base64url. */
  key: string;
  counter: number;
  /** JSON. */
  transports: string;
  made: number;
}

type Registration = VerifyRegistrationResponseOpts['response'];
type Authentication = VerifyAuthenticationResponseOpts['response'];

/** Fetched when somebody uses a passkey: the server starts without it. */
const webAuthn = () => import('@simplewebauthn/server');

/** So long, in ms, a question that was put to an authenticator may be answered. */
const patience = 5 * 60_000;

const refused = () => new Problem(403, 'no-passkey', 'That passkey does not let anybody in here.');

/** The name under which the page is open, which a passkey is bound to. The gate has let only our own names through. */
function siteOf(request: Request): { expectedOrigin: string; expectedRPID: string } {
  const host = request.headers.host ?? '';
  return { expectedOrigin: `${request.protocol}://${host}`, expectedRPID: host.replace(/:\d+$/, '') };
}

/** Passkeys of people: what an authenticator holds, and this server knows the public half of. */
export class Passkeys {
  /** What was asked, and of whom; null where anybody may answer. Each question is answered once. */
  private readonly asked = new LRUCache<string, { person: string | null }>({ max: 1000, ttl: patience });

  constructor(
    private readonly store: Store,
    private readonly clock: Clock,
  ) {}

  async optionsToAdd(request: Request, person: Person): Promise<object> {
    const options = await (
      await webAuthn()
    ).generateRegistrationOptions({
      rpName: 'Fonte',
      rpID: siteOf(request).expectedRPID,
      userName: person.name,
      userID: new TextEncoder().encode(person.id),
      attestationType: 'none',
      excludeCredentials: (await this.of(person.id)).map(({ id }) => ({ id })),
      authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
    });
    this.asked.set(options.challenge, { person: person.id });
    return options;
  }

  /** @throws Problem 403 where the answer is to no question of ours, or does not hold */
  async add(request: Request, person: Person, response: Registration): Promise<void> {
    const verified = await (
      await webAuthn()
    )
      .verifyRegistrationResponse({
        response,
        ...siteOf(request),
        requireUserVerification: true,
        expectedChallenge: (challenge) => this.isAsked(challenge, person.id),
      })
      .catch(() => null);
    if (!verified?.verified) throw refused();
    const { id, publicKey, counter, transports = [] } = verified.registrationInfo.credential;
    const values = [id, person.id, Buffer.from(publicKey).toString('base64url'), counter, JSON.stringify(transports), this.clock()];
    await this.store.write((query) => query('INSERT INTO passkeys VALUES (?, ?, ?, ?, ?, ?)', values));
  }

  async optionsToSignIn(request: Request): Promise<object> {
    const options = await (
      await webAuthn()
    ).generateAuthenticationOptions({ rpID: siteOf(request).expectedRPID, userVerification: 'required' });
    this.asked.set(options.challenge, { person: null });
    return options;
  }

  /** Whose passkey has answered. @throws Problem 403 */
  async signIn(request: Request, response: Authentication): Promise<string> {
    const [row] = await this.store.read<PasskeyRow[]>('SELECT * FROM passkeys WHERE id = ?', [response.id]);
    if (!row) throw refused();
    const verified = await (
      await webAuthn()
    )
      .verifyAuthenticationResponse({
        response,
        ...siteOf(request),
        requireUserVerification: true,
        expectedChallenge: (challenge) => this.isAsked(challenge, null),
        credential: {
          id: row.id,
          publicKey: new Uint8Array(Buffer.from(row.key, 'base64url')),
          counter: Number(row.counter),
          transports: JSON.parse(row.transports) as [],
        },
      })
      .catch(() => null);
    if (!verified?.verified) throw refused();
    const { newCounter } = verified.authenticationInfo;
    await this.store.write((query) => query('UPDATE passkeys SET counter = ? WHERE id = ?', [newCounter, row.id]));
    return row.person;
  }

  async of(person: string): Promise<{ id: string; made: number }[]> {
    const rows = await this.store.read<PasskeyRow[]>('SELECT id, made FROM passkeys WHERE person = ? ORDER BY made', [person]);
    return rows.map(({ id, made }) => ({ id, made: Number(made) }));
  }

  async remove(person: string, id: string): Promise<void> {
    await this.store.write((query) => query('DELETE FROM passkeys WHERE person = ? AND id = ?', [person, id]));
  }

  private isAsked(challenge: string, person: string | null): boolean {
    const asked = this.asked.get(challenge);
    this.asked.delete(challenge);
    return asked !== undefined && asked.person === person;
  }
}

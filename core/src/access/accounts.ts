import { z } from 'zod';
import { Id } from '../book/index.ts';
import { Device, Person } from '../registers/index.ts';
import { roles } from '../roles/index.ts';

/** Long rather than odd: a few words that nobody guesses. */
export const Passphrase = z
  .string()
  .min(12, { error: 'At least 12 letters: a few words in a row.' })
  .max(200)
  .meta({ title: 'Passphrase' });

/** The name that is typed to sign in; letter case and spaces around do not matter. */
export const SignInName = z.string().trim().min(1, { error: 'Type your name.' }).max(120).meta({ title: 'Your name' });

/** A name as it is compared. */
export function plainSignInName(name: string): string {
  return name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase();
}

/** How long a passphrase or passkey is good for a signature at a hand-over, in ms: long enough for one stop at the lab. */
export const proofLasts = 15 * 60_000;

/** How long a session lasts without being used, in ms: longer than any round without signal. */
export const sessionLasts = 60 * 86_400_000;

/** How long a link lets somebody in, in ms. */
export const invitationLasts = 7 * 86_400_000;

/** The page that a link opens. */
export const joinPath = '/join';

/** The link that lets somebody in: what lets in stands after the `#`, which a browser keeps to itself. */
export const linkTo = (origin: string, token: string): string => `${origin}${joinPath}#${token}`;

/** What a householder's link opens: one round's one kit. */
export const Scope = z.object({ round: Id });
export type Scope = z.infer<typeof Scope>;

/** Who is signed in here. */
export const Me = z.object({
  person: Person,
  /** The device that this session writes on; null until it is registered. */
  device: Device.nullable(),
  /** When this person last proved who they are with a passphrase or passkey (ms). */
  provenAt: z.number(),
  scope: Scope.nullable(),
});
export type Me = z.infer<typeof Me>;

/** Whether a passphrase is asked for again before a hand-over is signed. */
export function mustProve({ provenAt }: Pick<Me, 'provenAt'>, now: number): boolean {
  return now - provenAt > proofLasts;
}

/** What stands of a person's access. */
export const Account = z.object({
  person: z.string(),
  state: z.enum(['none', 'invited', 'open', 'ended']),
  role: z.enum(roles),
  passkeys: z.number().int(),
  /** When somebody was last signed in as this person (ms), or null. */
  seen: z.number().nullable(),
  sessions: z.number().int(),
});
export type Account = z.infer<typeof Account>;

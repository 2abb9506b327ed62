import { addressOf, type AnyEndpoint, type Answer, type Question } from '@fonte/core/endpoints';
import { z } from 'zod';
import { now } from '../time/clock.ts';
import { connection, lost, met } from './connection.ts';

/** A refusal by the server, with the fields it concerns (RFC 9457). */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly errors: readonly { path: string; message: string }[],
    /** What kind of refusal it is. */
    readonly code = '',
  ) {
    super(title);
  }

  /** Why the field at a path, or one below it, was refused. */
  at(path: string): string | undefined {
    return this.errors.find((error) => error.path === path || error.path.startsWith(`${path}.`))?.message;
  }
}

/** Another entry has this id: said by the server, or by the device before it asks. */
export class IdTaken extends ApiProblem {
  constructor() {
    super(409, 'Another entry has this id. Nothing was written.', [], 'altered-copy');
  }
}

/**
 * Writes under an id. Where another entry has it, what was to be written is something else by now: it is written under a fresh one.
 * @throws whatever `write` throws the second time
 */
export async function writeUnderFreeId(id: string, freshId: () => string, write: (id: string) => Promise<void>): Promise<void> {
  try {
    await write(id);
  } catch (failure) {
    if (!(failure instanceof ApiProblem) || failure.code !== 'altered-copy') throw failure;
    await write(freshId());
  }
}

/** The server could not be reached, so it is not known whether it has the entry. */
export class NoConnection extends Error {
  constructor() {
    super('No connection to the server. What you typed is still here.');
  }
}

const unexpected = 'The server did not answer as expected.';

/** As much of a problem document as can be read; a proxy's own page has none. */
const Told = z.object({
  type: z.string().catch(''),
  title: z.string().catch(unexpected),
  errors: z.array(z.object({ path: z.string(), message: z.string() })).catch([]),
});

/** What is asked and, where the endpoint takes something, what is sent with it: JSON, or the bytes of a file. */
export type Call<E extends AnyEndpoint> = Question<E> &
  (E['body'] extends z.ZodType ? { body: z.input<E['body']> } : E['body'] extends 'file' ? { body: Blob | string } : { body?: undefined });

function sent({ method, body: content }: AnyEndpoint, body: unknown): RequestInit {
  if (content === null) return { method };
  if (content === 'file') return { method, body: body as Blob | string, headers: { 'content-type': 'application/octet-stream' } };
  return { method, body: JSON.stringify(body), headers: { 'content-type': 'application/json' } };
}

/** So long, in ms, an answer is waited for: a signal that is hardly there is none. Once it was lost nobody waits long to read. */
function patience({ method }: AnyEndpoint): number {
  if (method === 'POST') return 60_000;
  return connection().isLost ? 4000 : 15_000;
}

const signedOut = new Set<() => void>();

/** Tells when the server does not know any more who asks. */
export function onSignedOut(told: () => void): () => void {
  signedOut.add(told);
  return () => signedOut.delete(told);
}

let makeKnown: (() => Promise<void>) | null = null;

/** What makes the server know this device: done wherever it writes in somebody's name and says that it does not know it yet. */
export function whereUnknown(work: () => Promise<void>): void {
  makeKnown = work;
}

/**
 * Asks the server at an endpoint; what it answers is read by the endpoint's schema, so that nothing is taken for what it is not. A
 * server that does not know this device yet is told, and asked again.
 * @throws ApiProblem when it refuses or answers something else, NoConnection
 */
export async function call<E extends AnyEndpoint>(endpoint: E, question: Call<E>): Promise<Answer<E>> {
  try {
    return await ask(endpoint, question);
  } catch (failure) {
    if (!makeKnown || !(failure instanceof ApiProblem) || failure.code !== 'no-device') throw failure;
    await makeKnown();
    return ask(endpoint, question);
  }
}

async function ask<E extends AnyEndpoint>(endpoint: E, question: Call<E>): Promise<Answer<E>> {
  let response: Response;
  const from = now();
  try {
    response = await fetch(addressOf(endpoint, question), {
      ...sent(endpoint, question.body),
      signal: AbortSignal.timeout(patience(endpoint)),
    });
  } catch {
    lost();
    throw new NoConnection();
  }
  const clock = Number(response.headers.get('x-fonte-now'));
  // A proxy in between may answer for a server that is not there.
  if (clock > 0) met(clock, from, now());
  else if (response.status >= 502) {
    lost();
    throw new NoConnection();
  }
  const told: unknown = await response.json().catch(() => null);
  if (!response.ok) {
    const { type, title, errors } = Told.catch({ type: '', title: unexpected, errors: [] }).parse(told);
    if (response.status === 401) for (const tell of signedOut) tell();
    throw new ApiProblem(response.status, title, errors, type.replace('urn:fonte:problem:', ''));
  }
  const read = endpoint.answer instanceof z.ZodType ? endpoint.answer.safeParse(told) : null;
  if (read?.success) return read.data as Answer<E>;
  throw new ApiProblem(response.status, unexpected, []);
}

/** What to say to a person about whatever went wrong. */
export function explain(error: unknown): string {
  if (error instanceof ApiProblem) return error.errors.map((one) => one.message).join(' ') || error.title;
  return error instanceof Error ? error.message : 'Something went wrong.';
}

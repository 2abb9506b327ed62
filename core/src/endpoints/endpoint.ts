import { z } from 'zod';
import type { Role } from '../roles/index.ts';

/** The names in an address: `/api/rounds/:round/reports/:sha256` has `round` and `sha256`. */
export type Named<P extends string> = P extends `${string}:${infer Name}/${infer Rest}`
  ? Name | Named<Rest>
  : P extends `${string}:${infer Name}`
    ? Name
    : never;

/** A body or an answer: JSON of a schema, the bytes of a file, or nothing. */
export type Content = z.ZodType | 'file' | null;

/** Who may ask: people by their role, or anybody at all, signed in or not. */
export type Askers = readonly Role[] | 'anybody';

/**
 * What can be asked of the server at one address and what it answers. Written once in the room it belongs to: the server
 * judges requests by it, the page types its questions and reads the answers with it, and the description is made from it.
 */
export interface Endpoint<
  P extends string = string,
  Q extends z.ZodType = z.ZodType,
  B extends Content = Content,
  A extends Content = Content,
> {
  readonly method: 'GET' | 'POST';
  readonly path: P;
  readonly summary: string;
  readonly query: Q;
  readonly body: B;
  readonly answer: A;
  readonly by: Askers;
}

export type AnyEndpoint = Endpoint;

const nothing = z.object({});
type Nothing = typeof nothing;

/** Something to read. */
export function reading<P extends string, A extends Content, Q extends z.ZodType = Nothing>(
  path: P,
  { summary, by, answer, query }: { summary: string; by: Askers; answer: A; query?: Q },
): Endpoint<P, Q, null, A> {
  return { method: 'GET', path, summary, by, query: query ?? (nothing as unknown as Q), body: null, answer };
}

/** Something to do. */
export function doing<P extends string, A extends Content, B extends Content = null, Q extends z.ZodType = Nothing>(
  path: P,
  { summary, by, answer, body, query }: { summary: string; by: Askers; answer: A; body?: B; query?: Q },
): Endpoint<P, Q, B, A> {
  return { method: 'POST', path, summary, by, query: query ?? (nothing as unknown as Q), body: (body ?? null) as B, answer };
}

export type Answer<E extends AnyEndpoint> = E['answer'] extends z.ZodType ? z.output<E['answer']> : unknown;

/** What a question at an endpoint is made of; what the endpoint does not need may be left out. */
export type Question<E extends AnyEndpoint> = ([Named<E['path']>] extends [never]
  ? { in?: undefined }
  : { in: Readonly<Record<Named<E['path']>, string>> }) &
  (Record<never, never> extends z.input<E['query']> ? { query?: z.input<E['query']> } : { query: z.input<E['query']> });

/**
 * The address of a question.
 * @example addressOf(levelRecord, { in: { point: 'p1' } }) // '/api/points/p1/levels'
 */
export function addressOf<E extends AnyEndpoint>(endpoint: E, question: Question<E>): string {
  const { in: names = {}, query = {} } = question as { in?: Record<string, string>; query?: Record<string, unknown> };
  const path = endpoint.path.replace(/:([A-Za-z0-9]+)/g, (_, name: string) => encodeURIComponent(names[name] ?? ''));
  const said = Object.entries(query).filter(([, value]) => value !== undefined && value !== null);
  const search = new URLSearchParams(said.map(([name, value]) => [name, String(value)] as [string, string]));
  return said.length > 0 ? `${path}?${search.toString()}` : path;
}

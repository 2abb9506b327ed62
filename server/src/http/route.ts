import type { AnyEndpoint, Named } from '@fonte/core/endpoints';
import type { PictureType } from '@fonte/core/pictures';
import express, { type Express, type Request, type RequestHandler, type Response } from 'express';
import type { z } from 'zod';
import { parsed, Problem } from './problem.ts';
import { admit, whoAsks, type Doorkeeper, type Who } from './who.ts';

/** Everything that was asked at an endpoint, judged by its schemas. */
export interface Asked<E extends AnyEndpoint> {
  in: Readonly<Record<Named<E['path']>, string>>;
  query: z.output<E['query']>;
  body: E['body'] extends z.ZodType ? z.output<E['body']> : E['body'] extends 'file' ? Uint8Array : null;
  /** For another status or a header; the answer itself is returned. */
  response: Response;
  request: Request;
  /** Who asks. Where anybody may, nobody may be signed in: see `guest`. */
  who: Who;
  /** Who asks where anybody may, or null. */
  guest: Who | null;
}

/** An answer that is JSON already: nothing is parsed only to be written again. */
export class JsonText {
  constructor(readonly text: string) {}
}

/**
 * A file to be saved under a name, never to be shown as a page of ours. One of a picture's type, told by its bytes, may be
 * shown in a page.
 */
export class SentFile {
  constructor(
    readonly name: string,
    readonly bytes: Uint8Array | string,
    readonly picture?: PictureType,
  ) {}
}

export type Told<E extends AnyEndpoint> = E['answer'] extends z.ZodType
  ? z.input<E['answer']> | JsonText
  : E['answer'] extends 'file'
    ? SentFile
    : null;

interface Options {
  /** What a request passes first. */
  before?: readonly RequestHandler[];
  /** The largest body, in bytes. */
  largest?: number;
}

/** An endpoint with the work behind it. */
export interface Route extends Options {
  endpoint: AnyEndpoint;
  work: (request: Request, response: Response) => Promise<void>;
}

/** An answer sent as a file: its name told, its kind not guessed, nothing in it run. */
function sendFile(response: Response, { name, bytes, picture }: SentFile): void {
  response.attachment(name);
  if (typeof bytes === 'string') return void response.type('json').send(bytes);
  response.set('content-security-policy', "sandbox; default-src 'none'");
  // Under its hash it is the same for ever.
  if (picture)
    response.set({ 'content-disposition': `inline; filename="${name}"`, 'cache-control': 'private, max-age=31536000, immutable' });
  response.type(picture ?? 'application/octet-stream').send(Buffer.from(bytes));
}

function bodyOf({ body }: AnyEndpoint, request: Request): unknown {
  if (body === 'file') return request.body instanceof Buffer ? new Uint8Array(request.body) : new Uint8Array();
  return body === null ? null : parsed(body, request.body);
}

/** Says what is done where an endpoint is asked; what comes in is judged before, what goes out is typed. */
export function route<E extends AnyEndpoint>(
  endpoint: E,
  answer: (asked: Asked<E>) => Told<E> | Promise<Told<E>>,
  options: Options = {},
): Route {
  return {
    ...options,
    endpoint,
    work: async (request, response) => {
      const guest = whoAsks(response);
      const asked = {
        in: request.params,
        query: parsed(endpoint.query, request.query),
        body: bodyOf(endpoint, request),
        request,
        response,
        guest,
        get who(): Who {
          if (!guest) throw new Problem(401, 'not-signed-in', 'Sign in first.');
          return guest;
        },
      };
      const told = await answer(asked as unknown as Asked<E>);
      if (told instanceof JsonText) response.type('json').send(told.text);
      else if (told instanceof SentFile) sendFile(response, told);
      else response.json(told);
    },
  };
}

/** The largest body of JSON, in bytes: a day without signal of a whole team. */
const largestJson = 4 << 20;

const onlyJson: RequestHandler = (request, _response, next) => {
  const length = request.headers['content-length'];
  if (length !== '0' && length !== undefined && !request.is('application/json')) throw new Problem(415, 'not-json', 'Send JSON.');
  next();
};

/** No packed bodies: a small one could be a gigabyte. */
function reader({ endpoint, largest }: Route): RequestHandler[] {
  if (endpoint.method === 'GET') return [];
  if (endpoint.body === 'file') return [express.raw({ type: () => true, limit: largest ?? largestJson, inflate: false })];
  return [onlyJson, express.json({ limit: largest ?? largestJson, inflate: false, type: 'application/json' })];
}

/** Puts routes under their addresses, each behind the door. */
export function mount(app: Express, routes: readonly Route[], doorkeeper: Doorkeeper): void {
  for (const one of routes) {
    const handlers = [
      admit(one.endpoint.by, doorkeeper),
      ...(one.before ?? []),
      ...reader(one),
      (request: Request, response: Response) => one.work(request, response),
    ];
    if (one.endpoint.method === 'GET') app.get(one.endpoint.path, ...handlers);
    else app.post(one.endpoint.path, ...handlers);
  }
}

import type { ProblemDocument } from '@fonte/core/endpoints';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import type { z } from 'zod';
import { StorageFault } from '../store/index.ts';

/** A field that was refused: its path in the body, dotted, and why. */
export interface FieldError {
  path: string;
  message: string;
}

/** A refusal that becomes a problem document (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    /** The last part of the problem's type URI. */
    readonly code: string,
    readonly title: string,
    readonly errors: readonly FieldError[] = [],
  ) {
    super(title);
  }

  /** The problem document. */
  document(): ProblemDocument {
    const { code, title, status, errors } = this;
    return {
      type: `urn:fonte:problem:${code}`,
      title,
      status,
      detail: errors.map((error) => error.message).join(' ') || title,
      errors: [...errors],
    };
  }
}

/** The fields a schema refused. */
export function fieldErrors(error: Pick<z.ZodError, 'issues'>, under = ''): FieldError[] {
  return error.issues.map((issue) => ({
    path: [under, ...issue.path.map(String)].filter((part) => part !== '').join('.'),
    message: issue.message,
  }));
}

/**
 * What a schema says of something sent. What its checks run into, as an object that says of itself what it becomes, is refused like
 * anything else that is not what was asked for.
 */
export function readBy<S extends z.ZodType>(
  schema: S,
  sent: unknown,
): { success: true; data: z.output<S> } | { success: false; error: Pick<z.ZodError, 'issues'> } {
  try {
    return schema.safeParse(sent);
  } catch (fault) {
    if (!(fault instanceof TypeError)) throw fault;
    return { success: false, error: { issues: [{ code: 'custom', path: [], message: 'It is not what was asked for.' }] } };
  }
}

/** What was sent as its schema has it. @throws Problem 422 with the fields that were refused */
export function parsed<S extends z.ZodType>(schema: S, sent: unknown): z.output<S> {
  const read = readBy(schema, sent ?? {});
  if (read.success) return read.data;
  throw new Problem(422, 'invalid', 'The request was not accepted.', fieldErrors(read.error));
}

export function sendProblem(response: Response, problem: Problem): void {
  response.status(problem.status).type('application/problem+json').json(problem.document());
}

interface HttpError {
  status?: number;
  type?: string;
}

/** What the log says of an error: where it came from, never what was in it. */
export function withoutContents(error: unknown): object {
  const { name, code, stack, cause } = error as Error & { code?: string };
  const places = (stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return { name, code, at: places.slice(0, 8).map((line) => line.trim()), ...(cause ? { cause: withoutContents(cause) } : {}) };
}

/** Turns whatever a route threw into a problem document. Only what is the server's own fault is logged as an error. */
export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) return next(error);
    if (error instanceof Problem) return sendProblem(response, error);
    if (error instanceof StorageFault)
      return sendProblem(
        response.set('retry-after', '5'),
        new Problem(
          503,
          `storage-${error.code}`,
          'The server cannot store anything now. Whether this was written is not known: send it again.',
        ),
      );
    const { status, type } = error as HttpError;
    if (type === 'entity.parse.failed') return sendProblem(response, new Problem(400, 'not-json', 'The body is not JSON.'));
    if (type === 'encoding.unsupported')
      return sendProblem(response, new Problem(415, 'packed', 'Send the body as it is, without compression.'));
    if (type === 'entity.too.large') return sendProblem(response, new Problem(413, 'too-large', 'The body is too large.'));
    if (status !== undefined && status >= 400 && status < 500)
      return sendProblem(response, new Problem(status, 'bad-request', 'The request cannot be read.'));
    log.error({ error: withoutContents(error), method: request.method, path: request.path }, 'request failed');
    return sendProblem(response, new Problem(500, 'server', 'Something went wrong on the server. Nothing was written.'));
  };
}

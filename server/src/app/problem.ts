import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import type { z } from 'zod';

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
}

/** The fields a schema refused. */
export function fieldErrors(error: z.ZodError, under = ''): FieldError[] {
  return error.issues.map((issue) => ({
    path: [under, ...issue.path.map(String)].filter((part) => part !== '').join('.'),
    message: issue.message,
  }));
}

export function sendProblem(response: Response, problem: Problem): void {
  response
    .status(problem.status)
    .type('application/problem+json')
    .json({
      type: `urn:fonte:problem:${problem.code}`,
      title: problem.title,
      status: problem.status,
      detail: problem.errors.map((error) => error.message).join(' ') || problem.title,
      errors: problem.errors,
    });
}

interface HttpError {
  status?: number;
  type?: string;
}

/** Turns whatever a route threw into a problem document. Only what is the server's own fault is logged as an error. */
export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) return next(error);
    if (error instanceof Problem) return sendProblem(response, error);
    const { status, type } = error as HttpError;
    if (type === 'entity.parse.failed') return sendProblem(response, new Problem(400, 'not-json', 'The body is not JSON.'));
    if (type === 'entity.too.large') return sendProblem(response, new Problem(413, 'too-large', 'The body is too large.'));
    if (status !== undefined && status >= 400 && status < 500)
      return sendProblem(response, new Problem(status, 'bad-request', 'The request cannot be read.'));
    log.error({ err: error, method: request.method, url: request.url }, 'request failed');
    return sendProblem(response, new Problem(500, 'server', 'Something went wrong on the server. Nothing was written.'));
  };
}

import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { Problem } from './problem.ts';

/** Lets so many requests through at once; whoever comes then is asked to come again. */
export function atOnce(most: number): RequestHandler {
  let inside = 0;
  return (_request, response, next) => {
    if (inside >= most) {
      response.set('retry-after', '5');
      throw new Problem(503, 'busy', 'Too many files at once. Try again in a moment.');
    }
    inside += 1;
    response.once('close', () => {
      inside -= 1;
    });
    next();
  };
}

/** So many requests from one address in a time (ms); whoever asks more often is asked to wait. */
export function atMost(most: number, within: number): RequestHandler {
  return rateLimit({
    limit: most,
    windowMs: within,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new Problem(429, 'wait', 'Too many attempts from here. Wait a few minutes, then try again.');
    },
  });
}

import type { RequestHandler } from 'express';
import { Problem } from './problem.ts';

/** The names under which a server answers: its own on this machine, and those it is configured to have. */
export interface GateOptions {
  /** Names, with a port where it is not the server's own, under which the outside reaches it. */
  hosts: readonly string[];
}

const local = new Set(['localhost', '127.0.0.1', '[::1]']);

const nameOf = (host: string) => host.replace(/:\d+$/, '').toLowerCase();

/**
 * Refuses what was not meant for this server: a foreign Host, as when a page of somebody else's has its name point here, and
 * a foreign Origin, as when such a page sends a form. Requests that change something are JSON or a file, never a form.
 */
export function gate({ hosts }: GateOptions): RequestHandler {
  const known = new Set(hosts.map((host) => host.toLowerCase()));
  const isOurs = (host: string) => local.has(nameOf(host)) || known.has(host.toLowerCase()) || known.has(nameOf(host));
  return (request, _response, next) => {
    const { host, origin } = request.headers;
    if (host === undefined || !isOurs(host)) throw new Problem(421, 'foreign-host', 'This server does not answer under that name.');
    if (origin !== undefined && !isSameOrigin(origin, host) && !known.has(originHost(origin)))
      throw new Problem(403, 'foreign-origin', 'Requests from other sites are not taken.');
    if (request.headers['sec-fetch-site'] === 'cross-site' && request.method !== 'GET')
      throw new Problem(403, 'foreign-origin', 'Requests from other sites are not taken.');
    next();
  };
}

function originHost(origin: string): string {
  try {
    return new URL(origin).host;
  } catch {
    return '';
  }
}

const isSameOrigin = (origin: string, host: string) => originHost(origin) === host.toLowerCase();

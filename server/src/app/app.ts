import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import packedFiles from 'express-static-gzip';
import helmet from 'helmet';
import { description, health, moveClock as moveClockEndpoint } from '@fonte/core/endpoints';
import type { Backups } from '../backup/index.ts';
import { doorkeeper } from '../access/index.ts';
import { gate } from '../http/gate.ts';
import { mount, Problem, problemHandler, route, type Route } from '../http/index.ts';
import { openApiDocument } from './openapi.ts';
import { rooms, type AllServices } from './rooms.ts';

export interface AppOptions {
  /** Folder of the built page; without it only the API is served. */
  web?: string;
  /** Names under which the outside reaches the server, beside those of this machine. */
  hosts?: readonly string[];
  /** Addresses of proxies that are believed: `loopback` for one on this machine. None where it is left out. */
  proxies?: string[];
  /** The copies that are made of the database, where any are. */
  backups?: Backups | null;
  /** Lets the demo move the clock; absent in production. */
  moveClock?: (milliseconds: number) => void;
}

/** What the server says of itself. */
function ownRoutes({ store, clock }: AllServices, { moveClock, backups = null }: AppOptions): Route[] {
  const own = [
    route(health, async ({ response }) => {
      const found = await store.check();
      response.status(found.ok ? 200 : 503);
      const backup = backups?.tell() ?? null;
      return found.ok ? { status: 'ok' as const, backup } : { status: 'failing' as const, code: found.code, since: found.since, backup };
    }),
  ];
  if (!moveClock) return own;
  const move = route(moveClockEndpoint, ({ body: { seconds } }) => {
    moveClock(seconds * 1000);
    return { now: clock() };
  });
  return [...own, move];
}

/** The HTTP application over a set of services. */
export function createApp(services: AllServices, options: AppOptions = {}): Express {
  const { web, hosts = [], proxies = [] } = options;
  const { log } = services;
  const app = express();
  app.disable('x-powered-by');
  // A proxy that was named says whether the outside came by HTTPS, and from where; nobody else is believed.
  app.set('trust proxy', proxies.length > 0 ? proxies : false);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'img-src': ["'self'", 'data:', 'blob:'],
          'style-src': ["'self'", "'unsafe-inline'"],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(gate({ hosts }));
  app.use(compression());
  app.use((request, response, next) => {
    response.on('finish', () => {
      if (request.path.startsWith('/api/'))
        log.debug({ method: request.method, path: request.path, status: response.statusCode }, 'request');
    });
    next();
  });

  app.use('/api', (_request, response, next) => {
    response.set({ 'cache-control': 'no-store', 'x-fonte-now': String(services.clock()) });
    next();
  });
  const routes = [...ownRoutes(services, options), ...rooms.flatMap((room) => room.routes?.(services) ?? [])];
  const described = openApiDocument([description, ...routes.map(({ endpoint }) => endpoint)]);
  mount(app, [...routes, route(description, () => described)], doorkeeper(services));
  app.use('/api', () => {
    throw new Problem(404, 'no-route', 'There is nothing at this address.');
  });
  if (web && existsSync(web)) servePage(app, web);
  app.use(problemHandler(log));
  return app;
}

/** The page under each of its own addresses; anything else is not there, and the page says so. */
function servePage(app: Express, web: string): void {
  const paths = JSON.parse(readFileSync(join(web, 'paths.json'), 'utf8')) as string[];
  const isKnown = (path: string) => paths.some((pattern) => new RegExp(`^${pattern.replace(/:[^/]+/g, '[^/]+')}/?$`).test(path));
  app.use(
    '/assets',
    packedFiles(join(web, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br'],
      index: false,
      serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
    }),
  );
  app.use(express.static(web, { index: false }));
  app.get('/{*path}', (request, response) => {
    response.status(isKnown(request.path) ? 200 : 404).sendFile('index.html', { root: web });
  });
}

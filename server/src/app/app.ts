import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { z } from 'zod';
import { bookRoutes } from '../book/routes.ts';
import { labRoutes } from '../lab/routes.ts';
import { levelRoutes } from '../level/routes.ts';
import { planRoutes } from '../plan/routes.ts';
import { readRoutes } from '../read/routes.ts';
import { registerRoutes } from '../registers/routes.ts';
import { gate } from './gate.ts';
import { openApiDocument } from './openapi.ts';
import { parsed, Problem, problemHandler } from './problem.ts';
import type { Services } from './services.ts';

export interface AppOptions {
  /** Folder of the built page; without it only the API is served. */
  web?: string;
  /** Names under which the outside reaches the server, beside those of this machine. */
  hosts?: readonly string[];
  /** Lets the demo move the clock; absent in production. */
  moveClock?: (milliseconds: number) => void;
}

const MoveRequest = z.object({
  seconds: z
    .number()
    .positive()
    .max(40 * 86_400, { error: 'The demo clock goes forward, up to 40 days.' }),
});

/** The largest body of entries: a day without signal of a whole team. */
const largestBody = '4mb';

/** The HTTP application over a set of services. */
export function createApp(services: Services, { web, hosts = [], moveClock }: AppOptions = {}): Express {
  const { log, store, clock, author } = services;
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: { directives: { 'style-src': ["'self'", "'unsafe-inline'"], 'upgrade-insecure-requests': null } },
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
    response.set('cache-control', 'no-store');
    next();
  });
  app.get('/api/health', async (_request, response) => {
    const health = await store.check();
    response
      .status(health.ok ? 200 : 503)
      .json(health.ok ? { status: 'ok' } : { status: 'failing', code: health.code, since: health.since });
  });
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApiDocument());
  });
  app.get('/api/session', (_request, response) => {
    response.json({ author, now: clock(), demo: moveClock !== undefined });
  });

  const parseJson = express.json({ limit: largestBody, inflate: false, type: 'application/json' });
  app.use('/api', (request, response, next) => {
    if (request.method === 'GET' || /^\/rounds\/[^/]+\/reports$/.test(request.path)) return next();
    if (request.headers['content-length'] !== '0' && request.headers['content-length'] !== undefined && !request.is('application/json'))
      throw new Problem(415, 'not-json', 'Send JSON.');
    parseJson(request, response, next);
  });
  if (moveClock) {
    app.post('/api/demo/clock', (request, response) => {
      moveClock(parsed(MoveRequest, request.body).seconds * 1000);
      response.json({ now: clock() });
    });
  }
  for (const routes of [bookRoutes, planRoutes, registerRoutes, levelRoutes, labRoutes, readRoutes]) routes(app, services);
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
  app.use('/assets', express.static(join(web, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
  app.use(express.static(web, { index: false }));
  app.get('/{*path}', (request, response) => {
    response.status(isKnown(request.path) ? 200 : 404).sendFile('index.html', { root: web });
  });
}

import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { bookRoutes } from '../book/routes.ts';
import { labRoutes } from '../lab/routes.ts';
import { levelRoutes } from '../level/routes.ts';
import { readRoutes } from '../read/routes.ts';
import { registerRoutes } from '../registers/routes.ts';
import { openApiDocument } from './openapi.ts';
import { Problem, problemHandler } from './problem.ts';
import type { Services } from './services.ts';

export interface AppOptions {
  /** Folder of the built page; without it only the API is served. */
  web?: string;
  /** Lets the demo move the clock; absent in production. */
  moveClock?: (milliseconds: number) => void;
}

/** The HTTP application over a set of services. */
export function createApp(services: Services, { web, moveClock }: AppOptions = {}): Express {
  const { log, store, clock, author } = services;
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: { directives: { 'style-src': ["'self'", "'unsafe-inline'"], 'upgrade-insecure-requests': null } },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.use((request, response, next) => {
    response.on('finish', () => {
      if (request.path.startsWith('/api/'))
        log.debug({ method: request.method, url: request.originalUrl, status: response.statusCode }, 'request');
    });
    next();
  });

  app.use('/api', (_request, response, next) => {
    response.set('cache-control', 'no-store');
    next();
  });
  app.get('/api/health', async (_request, response) => {
    await store.query('SELECT 1');
    response.json({ status: 'ok' });
  });
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApiDocument());
  });
  app.get('/api/session', (_request, response) => {
    response.json({ author, now: clock(), demo: moveClock !== undefined });
  });

  const parseJson = express.json({ limit: '512kb' });
  app.use((request, response, next) =>
    /^\/api\/rounds\/[^/]+\/reports$/.test(request.path) ? next() : parseJson(request, response, next),
  );
  if (moveClock) {
    app.post('/api/demo/clock', (request, response) => {
      const { seconds } = request.body as { seconds?: unknown };
      if (typeof seconds !== 'number' || !(seconds > 0) || seconds > 40 * 86400)
        throw new Problem(422, 'invalid', 'The demo clock goes forward, up to 40 days.', [
          { path: 'seconds', message: 'Between 1 and 3456000.' },
        ]);
      moveClock(seconds * 1000);
      response.json({ now: clock() });
    });
  }
  for (const routes of [bookRoutes, registerRoutes, levelRoutes, labRoutes, readRoutes]) routes(app, services);
  app.use('/api', () => {
    throw new Problem(404, 'no-route', 'There is nothing at this address.');
  });

  if (web && existsSync(web)) {
    app.use('/assets', express.static(join(web, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }));
    app.use(express.static(web, { index: false }));
    app.get('/{*path}', (_request, response) => {
      response.sendFile('index.html', { root: web });
    });
  }
  app.use(problemHandler(log));
  return app;
}

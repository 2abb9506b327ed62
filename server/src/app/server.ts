import type { AddressInfo } from 'node:net';
import { createServer } from 'node:http';
import { writeEntry } from '@fonte/core/book';
import { personRegistered, type Person } from '@fonte/core/registers';
import type { Clock } from '@fonte/core/time';
import { pino } from 'pino';
import { Books } from '../book/books.ts';
import { HttpLabDesk } from '../lab/desk.ts';
import { ReportReader } from '../read/reader.ts';
import { register } from '../registers/registers.ts';
import { openStore } from '../store/index.ts';
import { createApp, type AppOptions } from './app.ts';
import type { Services } from './services.ts';
import type { ServerSettings } from './settings.ts';

export interface RunningServer {
  address: string;
  services: Services;
  /** Ends open requests, closes the database, and resolves when both are done. */
  stop: () => Promise<void>;
}

export interface ServerOptions extends Pick<AppOptions, 'moveClock'> {
  clock: Clock;
  /** The person in whose name entries are made; registered if nobody is. */
  person?: Person;
  /** Called before the server listens, with everything but the network ready. */
  prepare?: (services: Services) => Promise<void>;
}

async function ensureAuthor(books: Books, services: Pick<Services, 'store' | 'clock'>, person: Person): Promise<string> {
  const people = await register(services.store, 'people');
  if (people[0]) return people[0].id;
  await books.appendOwn(writeEntry({ book: 'org', author: person.id, now: services.clock(), offset: 0 }, personRegistered, person));
  return person.id;
}

/** Opens the database and serves the API and the page. */
export async function startServer(settings: ServerSettings, options: ServerOptions): Promise<RunningServer> {
  const { clock } = options;
  const log = pino({ level: settings.logLevel });
  const store = await openStore(settings.database);
  const books = new Books(store, clock);
  const reader = new ReportReader();
  const desks = new Map(Object.entries(settings.desks).map(([lab, address]) => [lab, new HttpLabDesk(address)]));
  const initials = settings.person
    .split(/\s+/)
    .map((part) => part[0]!.toUpperCase())
    .join('')
    .slice(0, 4);
  const person = options.person ?? { id: 'technician', name: settings.person, initials, role: 'Technician' };
  const author = await ensureAuthor(books, { store, clock }, person);
  const services: Services = { store, books, desks, reader, clock, log, author };
  await options.prepare?.(services);

  const server = createServer(createApp(services, { web: settings.web, ...(options.moveClock ? { moveClock: options.moveClock } : {}) }));
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(settings.port, settings.host, resolve);
  });
  const { address, port } = server.address() as AddressInfo;
  log.info({ address, port, database: settings.database }, 'listening');
  return {
    address: `http://${address}:${port}`,
    services,
    stop: async () => {
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeIdleConnections();
      });
      await reader.stop();
      await store.destroy();
      log.info('stopped');
    },
  };
}

/** Stops a server gracefully when the process is asked to end. */
export function stopOnSignal(running: Pick<RunningServer, 'stop'>): void {
  for (const signal of ['SIGTERM', 'SIGINT'] as const) {
    process.once(signal, () => {
      void running.stop().then(() => process.exit(0));
    });
  }
}

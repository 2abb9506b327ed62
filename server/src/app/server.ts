import type { AddressInfo } from 'node:net';
import { createServer, type Server } from 'node:http';
import { newId, writeEntry } from '@fonte/core/book';
import { personRegistered, type Person } from '@fonte/core/registers';
import type { Clock } from '@fonte/core/time';
import { pino } from 'pino';
import { Books, serverPen } from '../book/books.ts';
import { ensureDerived } from '../book/rebuild.ts';
import { HttpLabDesk } from '../lab/index.ts';
import { ReportReader } from '../read/index.ts';
import { listThings } from '../registers/index.ts';
import { Store, type Maker } from '../store/index.ts';
import { createApp, type AppOptions } from './app.ts';
import { withoutContents } from '../http/index.ts';
import { derivation, type AllServices } from './rooms.ts';
import type { ServerSettings } from './settings.ts';

export interface RunningServer {
  address: string;
  services: AllServices;
  /** Lets open requests end, brings everything into the database file and closes it; resolves when that is done. */
  stop: () => Promise<void>;
}

export interface ServerOptions extends Pick<AppOptions, 'moveClock'> {
  clock: Clock;
  /** The person in whose name entries are made; registered if nobody is. */
  person?: Person;
  /** Who makes the database file where there is none. */
  madeBy?: Maker;
  /** Called before the server listens, with everything but the network ready. */
  prepare?: (services: AllServices) => Promise<void>;
  /** Asked to stop it before it says that it listens, so that it can be stopped from then on. */
  onStart?: (stop: () => Promise<void>) => void;
}

/** ms that open requests have to end when the server stops. */
const farewell = 3000;

/** The first person of an installation is registered by the server: nobody is there yet who could. */
async function ensurePerson(services: Pick<AllServices, 'store' | 'books' | 'clock'>, name: string, given?: Person): Promise<string> {
  const [known] = JSON.parse(await listThings(services.store, 'people', { limit: 1 })) as Person[];
  if (known) return known.id;
  const initials = name
    .split(/\s+/)
    .map((part) => [...part][0]!.toUpperCase())
    .join('')
    .slice(0, 4);
  const person: Person = given ?? { id: newId(services.clock()), name, initials, role: 'coordinator' };
  await services.books.appendOwn(writeEntry(serverPen(person.id, services.clock()), personRegistered, person));
  return person.id;
}

function limited(server: Server): Server {
  server.headersTimeout = 10_000;
  server.requestTimeout = 60_000;
  server.keepAliveTimeout = 15_000;
  server.maxRequestsPerSocket = 10_000;
  return server;
}

async function close(server: Server): Promise<void> {
  const timer = setTimeout(() => server.closeAllConnections(), farewell);
  await new Promise<void>((resolve) => {
    server.close(() => resolve());
    server.closeIdleConnections();
  });
  clearTimeout(timer);
}

/** Opens the database and serves the API and the page. */
export async function startServer(settings: ServerSettings, options: ServerOptions): Promise<RunningServer> {
  const { clock } = options;
  const log = pino({ level: settings.logLevel });
  const store = await Store.open(settings.database, {
    now: clock,
    ...(options.madeBy ? { madeBy: options.madeBy } : {}),
    onFault: (fault) => log.error({ code: fault.code, error: withoutContents(fault) }, 'the storage failed'),
  });
  const anew = await ensureDerived(store, derivation);
  if (anew) log.info({ books: anew }, 'the tables were made by another version, and are made anew');
  const books = new Books(store, clock, derivation);
  const reader = new ReportReader();
  const desks = new Map(Object.entries(settings.desks).map(([lab, address]) => [lab, new HttpLabDesk(address)]));
  const author = await ensurePerson({ store, books, clock }, settings.person, options.person);
  const services: AllServices = { store, books, desks, reader, clock, log, author };
  await options.prepare?.(services);

  const server = limited(
    createServer(
      { maxHeaderSize: 16_384 },
      createApp(services, { web: settings.web, hosts: settings.names, ...(options.moveClock ? { moveClock: options.moveClock } : {}) }),
    ),
  );
  let stopping: Promise<void> | null = null;
  const stop = () =>
    (stopping ??= (async () => {
      if (server.listening) await close(server);
      await books.idle();
      await reader.stop();
      await store.close();
      log.info('stopped');
    })());
  options.onStart?.(stop);
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(settings.port, settings.host, resolve);
  });
  const { address, port } = server.address() as AddressInfo;
  log.info({ address, port, database: settings.database }, 'listening');
  return { address: `http://${address}:${port}`, services, stop };
}

/** Stops a server when the process is asked to end. Handed to {@link startServer}, so that it is there before anybody is told. */
export function stopOnSignal(stop: () => Promise<void>): void {
  for (const signal of ['SIGTERM', 'SIGINT'] as const) {
    process.once(signal, () => {
      void stop().then(
        () => process.exit(0),
        () => process.exit(1),
      );
    });
  }
}

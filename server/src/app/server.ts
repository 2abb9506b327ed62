import type { AddressInfo } from 'node:net';
import { createServer, type Server } from 'node:http';
import type { Clock } from '@fonte/core/time';
import { pino } from 'pino';
import { newCode } from '../access/index.ts';
import { Backups } from '../backup/index.ts';
import { Books } from '../book/books.ts';
import { ensureDerived } from '../book/rebuild.ts';
import { HttpLabDesk } from '../lab/index.ts';
import { FileReader } from '../read/index.ts';
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
  /** Whom whoever opens the demo is; absent in production. */
  demo?: string;
  /** Who makes the database file where there is none. */
  madeBy?: Maker;
  /** Called before the server listens, with everything but the network ready. */
  prepare?: (services: AllServices) => Promise<void>;
  /** Asked to stop it before it says that it listens, so that it can be stopped from then on. */
  onStart?: (stop: () => Promise<void>) => void;
}

/** ms that open requests have to end when the server stops. */
const farewell = 3000;

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
    onCarriedOver: (copy) =>
      log.warn({ copy }, 'the database was made by an earlier version, and is carried over; as it was, it lies there'),
    onFault: (fault) => log.error({ code: fault.code, error: withoutContents(fault) }, 'the storage failed'),
  });
  const anew = await ensureDerived(store, derivation);
  if (anew) log.info({ books: anew }, 'the tables were made by another version, and are made anew');
  const books = new Books(store, clock, derivation, (fault) =>
    log.error({ error: withoutContents(fault) }, 'an entry could not be taken in'),
  );
  const reader = new FileReader();
  const desks = new Map(Object.entries(settings.desks).map(([lab, address]) => [lab, new HttpLabDesk(address)]));
  const isNew = options.demo === undefined && (await store.read<unknown[]>('SELECT 1 FROM accounts LIMIT 1')).length === 0;
  const setUpCode = { value: isNew ? newCode() : null };
  const services: AllServices = { store, books, desks, reader, clock, log, setUpCode, demo: options.demo ?? null };
  await options.prepare?.(services);
  const backups = settings.backup
    ? new Backups({
        file: settings.database,
        plan: settings.backup,
        clock,
        told: (said) => ('made' in said ? log.info(said, 'a backup was made') : log.error(said, 'no backup could be made')),
      })
    : null;

  const server = limited(
    createServer(
      { maxHeaderSize: 16_384 },
      createApp(services, {
        web: settings.web,
        hosts: settings.names,
        proxies: settings.proxies,
        backups,
        ...(options.moveClock ? { moveClock: options.moveClock } : {}),
      }),
    ),
  );
  let stopping: Promise<void> | null = null;
  const stop = () =>
    (stopping ??= (async () => {
      if (server.listening) await close(server);
      backups?.stop();
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
  // On the console and not in the log, which is kept.
  if (setUpCode.value !== null) console.log(`Nobody is let in yet. Open the page and type this set-up code: ${setUpCode.value}`);
  backups?.start();
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

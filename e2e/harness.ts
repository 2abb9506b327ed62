import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The project's folder: tests, bench and pictures are started from it. */
export const root = process.cwd();

/** Builds page and server unless that was done already. */
export function ensureBuilt(): void {
  if (existsSync(join(root, 'web/dist/index.html')) && existsSync(join(root, 'server/dist/demo.js'))) return;
  execFileSync('npm', ['run', 'build'], { cwd: root, stdio: 'inherit' });
}

export interface Running {
  address: string;
  database: string;
  process: ChildProcess;
  /** What it printed for the first coordinator, or null. */
  code: string | null;
  stop: (signal?: NodeJS.Signals) => Promise<void>;
}

interface Options {
  /** The demo with its simulated lab, or the built server alone. */
  what: 'demo' | 'server';
  database?: string;
  env?: Record<string, string>;
}

/** Starts a real server in a process of its own, on a fresh database and a free port. */
export function start({
  what,
  database = join(mkdtempSync(join(tmpdir(), 'fonte-')), 'test.sqlite'),
  env = {},
}: Options): Promise<Running> {
  const args = [join(root, 'server/dist', what === 'demo' ? 'demo.js' : 'main.js')];
  const child = spawn(process.execPath, args, {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...process.env,
      FONTE_DB: database,
      FONTE_PORT: '0',
      FONTE_BACKUPS: 'none',
      FONTE_LOG: what === 'demo' ? 'warn' : 'info',
      FONTE_DEMO_START: '2026-11-23T10:20:00Z',
      ...env,
    },
  });
  const stop = (signal: NodeJS.Signals = 'SIGTERM') =>
    new Promise<void>((resolve) => {
      if (child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill(signal);
    });
  return new Promise((resolve, reject) => {
    let said = '';
    const listen = (chunk: Buffer) => {
      said += chunk.toString();
      const address =
        /(http:\/\/127\.0\.0\.1:\d+)/.exec(said)?.[1] ??
        (/"port":(\d+)/.exec(said) ? `http://127.0.0.1:${/"port":(\d+)/.exec(said)![1]}` : undefined);
      const code = /set-up code: ([A-Z0-9-]+)/.exec(said)?.[1] ?? null;
      if (address) resolve({ address, database, process: child, code, stop });
    };
    child.stdout.on('data', listen);
    child.stderr.on('data', listen);
    child.once('exit', (code) => reject(new Error(`The server ended with ${code}:\n${said}`)));
  });
}

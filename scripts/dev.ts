import { spawn } from 'node:child_process';

/** The demo's server and Vite with reloading, side by side; either one ending ends both. */
const run = (command: string, args: string[], env: Record<string, string> = {}) =>
  spawn(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });

const both = [
  run(process.execPath, ['--watch', '--import', 'tsx', 'demo/main.ts'], { FONTE_PORT: '4180' }),
  run('npm', ['run', 'dev', '--workspace', 'web'], { FONTE_API: 'http://127.0.0.1:4180' }),
];
for (const child of both)
  child.once('exit', () => {
    for (const other of both) other.kill();
  });

import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The server's folder, in which its commands are run. */
export const here = fileURLToPath(new URL('..', import.meta.url));

const builtAt = existsSync(join(here, 'dist/verify.js')) ? statSync(join(here, 'dist/verify.js')).mtimeMs : 0;
const isBuilt = ['src', '../core/src', '../demo'].every((folder) =>
  readdirSync(join(here, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.includes('node_modules'))
    .every((name) => statSync(join(here, folder, name)).mtimeMs < builtAt),
);

/** The program of a name: as it was built, which begins sooner, unless a source is newer. */
export const program = (name: string): string[] =>
  isBuilt ? [`dist/${name}.js`] : ['--import', 'tsx', name === 'demo' ? '../demo/main.ts' : `src/commands/${name}.ts`];

/** Runs a command to its end: its status, which is null where it died, and all that it said. */
export const command = (name: string, ...args: string[]): { code: number | null; out: string } => {
  const done = spawnSync(process.execPath, [...program(name), ...args], { cwd: here, encoding: 'utf8' });
  return { code: done.status, out: done.stdout + done.stderr };
};

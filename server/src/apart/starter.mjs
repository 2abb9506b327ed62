// Starts a program for a server that runs from its source: a loader of its own takes seconds. Bundled as they are shipped, once for each
// server, the programs start like the shipped ones.
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { argv, kill, pid } from 'node:process';
import { fileURLToPath, pathToFileURL, URL } from 'node:url';
import { bundleAll } from '../../bundle.mjs';

const isAlive = (process) => {
  try {
    return kill(process, 0);
  } catch {
    return false;
  }
};

const [name, server] = argv.splice(2, 2);
// Beside the packages, which stay outside of the bundles.
const all = fileURLToPath(new URL('../../.cache/programs/', import.meta.url));
const folder = join(all, server);
if (!existsSync(folder)) {
  const making = `${folder}.${pid}`;
  mkdirSync(making, { recursive: true });
  await bundleAll(making);
  try {
    renameSync(making, folder);
  } catch {
    // Another was sooner.
    rmSync(making, { recursive: true });
  }
  // What servers have left here that were killed.
  for (const name of readdirSync(all)) if (!isAlive(parseInt(name, 10))) rmSync(join(all, name), { recursive: true, force: true });
}
await import(pathToFileURL(join(folder, `${name}.js`)).href);

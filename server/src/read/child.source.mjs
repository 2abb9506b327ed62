// What reads a file for a server that runs from its source: a loader of its own takes a second to start. Bundled whole, once for each
// server, it starts like the shipped one.
import { existsSync, renameSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { argv, pid } from 'node:process';
import { fileURLToPath, pathToFileURL, URL } from 'node:url';
import { build } from 'esbuild';

const bundle = join(tmpdir(), `fonte-read-child-${argv[2]}.cjs`);
if (!existsSync(bundle)) {
  const outfile = `${bundle}.${pid}.cjs`;
  const entryPoints = [fileURLToPath(new URL('./child.ts', import.meta.url))];
  await build({ entryPoints, outfile, bundle: true, format: 'cjs', platform: 'node', target: 'node20' });
  renameSync(outfile, bundle);
}
await import(pathToFileURL(bundle).href);

// The worker of a server that runs from its source: threads do not inherit the loader, and one of their own takes a second to
// start. Bundled it starts like the shipped one, beside the packages that it needs; one process bundles it once.
import { existsSync, renameSync, symlinkSync } from 'node:fs';
import { join } from 'node:path';
import { env } from 'node:process';
import { fileURLToPath, pathToFileURL, URL } from 'node:url';
import { threadId } from 'node:worker_threads';
import { build } from 'esbuild';

const folder = env.FONTE_READER_BUNDLE;
const outfile = join(folder, 'read-worker.mjs');
const stayOutside = {
  name: 'packages-stay-outside',
  setup: (setup) =>
    setup.onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@fonte/') ? undefined : { path, external: true })),
};
if (!existsSync(outfile)) {
  const own = join(folder, `read-worker-${threadId}.mjs`);
  await build({
    entryPoints: [fileURLToPath(new URL('./worker.ts', import.meta.url))],
    outfile: own,
    bundle: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    plugins: [stayOutside],
  });
  const packages = join(folder, 'node_modules');
  try {
    symlinkSync(fileURLToPath(new URL('../../../node_modules', import.meta.url)), packages);
  } catch {
    // Another thread has made it.
  }
  renameSync(own, outfile);
}
const { report, look, levels, file, cold } = await import(pathToFileURL(outfile).href);
export { report, look, levels, file, cold };

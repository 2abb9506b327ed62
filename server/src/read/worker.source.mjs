// The worker of a server that runs from its source: threads do not inherit the loader, and one of their own takes a second to
// start. Bundled it starts like the shipped one, beside the packages that it needs.
import { rmSync } from 'node:fs';
import { pid } from 'node:process';
import { fileURLToPath, URL } from 'node:url';
import { threadId } from 'node:worker_threads';
import { build } from 'esbuild';

const outfile = new URL(`../../dist/source-${pid}-${threadId}/read-worker.mjs`, import.meta.url);
const stayOutside = {
  name: 'packages-stay-outside',
  setup: (setup) =>
    setup.onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@fonte/') ? undefined : { path, external: true })),
};
await build({
  entryPoints: [fileURLToPath(new URL('./worker.ts', import.meta.url))],
  outfile: fileURLToPath(outfile),
  bundle: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  plugins: [stayOutside],
});
const { report, look, levels, file, cold } = await import(outfile.href);
rmSync(new URL('.', outfile), { recursive: true });
export { report, look, levels, file, cold };

// What reads a file for a server that runs from its source: a loader of its own takes a second to start. Bundled it starts like the
// shipped one, beside the packages that it needs.
import { rmSync } from 'node:fs';
import { pid } from 'node:process';
import { fileURLToPath, URL } from 'node:url';
import { build } from 'esbuild';

const outfile = new URL(`../../dist/source-${pid}/read-child.mjs`, import.meta.url);
const stayOutside = {
  name: 'packages-stay-outside',
  setup: (setup) =>
    setup.onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@fonte/') ? undefined : { path, external: true })),
};
await build({
  entryPoints: [fileURLToPath(new URL('./child.ts', import.meta.url))],
  outfile: fileURLToPath(outfile),
  bundle: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  plugins: [stayOutside],
});
await import(outfile.href);
rmSync(new URL('.', outfile), { recursive: true });

import { build } from 'esbuild';

await build({
  entryPoints: { main: 'src/main.ts', 'read-worker': 'src/read/worker.ts', verify: 'src/verify.ts', rebuild: 'src/rebuild.ts' },
  outdir: 'dist',
  bundle: true,
  splitting: true,
  format: 'esm',
  platform: 'node',
  target: 'node20',
  sourcemap: true,
  // Packages stay in node_modules; only the project's own TypeScript is bundled.
  plugins: [
    {
      name: 'packages-stay-outside',
      setup: (setup) =>
        setup.onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@fonte/') ? undefined : { path, external: true })),
    },
  ],
});

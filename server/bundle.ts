import { build, type BuildOptions } from 'esbuild';

/** Bundles the project's own TypeScript for Node; packages stay in node_modules. */
export async function bundle(options: Pick<BuildOptions, 'entryPoints' | 'outdir' | 'sourcemap'>): Promise<void> {
  await build({
    ...options,
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    plugins: [
      {
        name: 'packages-stay-outside',
        setup: (setup) =>
          setup.onResolve({ filter: /^[^./]/ }, ({ path }) => (path.startsWith('@fonte/') ? undefined : { path, external: true })),
      },
    ],
  });
}

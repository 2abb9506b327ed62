import type { BuildOptions } from 'esbuild';

/** Bundles the project's own TypeScript for Node; packages stay in node_modules. */
export function bundle(options: Pick<BuildOptions, 'entryPoints' | 'outdir' | 'sourcemap'>): Promise<void>;
/** Bundles every program of the server into a folder. */
export function bundleAll(outdir: string, sourcemap?: boolean): Promise<void>;

import { bundle } from '../../server/bundle.mjs';

// Measured is what is shipped: bundled, without the wrappers that running TypeScript directly puts around functions.
await bundle({ entryPoints: { bench: 'scripts/bench/main.ts' }, outdir: 'server/dist' });

import { bundleAll } from './bundle.mjs';

await bundleAll('dist', true);

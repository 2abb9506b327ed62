import { writeFileSync } from 'node:fs';
import { addresses } from './src/app/rooms.ts';

/** Tells the server which addresses have a page; it answers 404 to any other. */
writeFileSync(new URL('dist/paths.json', import.meta.url), JSON.stringify(addresses()));

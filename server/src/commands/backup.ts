import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { existing, fail } from './existing.ts';

/* npm run backup TARGET [database]: a copy of the database as it stands, also while a server writes in it. */
const [target, path] = process.argv.slice(2);
if (!target) fail('Say where to: npm run backup -- TARGET');
if (existsSync(target)) fail(`${target} is there already: nothing is written over.`);
const store = await existing(path);
await store.copyTo(resolve(target));
await store.close();
console.log(`Copied to ${target}.`);

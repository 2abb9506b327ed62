import { resolve } from 'node:path';
import { copyDatabase } from '../index.ts';
import { existing, fail, inOneLine } from './existing.ts';

/* npm run backup TARGET [database]: a copy of the database as it stands, also while a server writes in it. */
const [target, path] = process.argv.slice(2);
if (!target) fail('Say where to: npm run backup -- TARGET');
await copyDatabase(await existing(path), resolve(target)).catch((failure: unknown) => fail(inOneLine(failure)));
console.log(`Copied to ${target}.`);

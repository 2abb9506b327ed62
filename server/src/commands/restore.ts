import { closeSync, copyFileSync, existsSync, fsyncSync, linkSync, mkdirSync, openSync, chmodSync, rmSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { derivation, ensureDerived, makerOf, readSettings, Store, verifyBooks, verifyStore } from '../index.ts';
import { fail } from './existing.ts';

/*
 * npm run restore BACKUP [database]: makes a database from a copy, once the copy was found whole. It never writes over a file,
 * so it cannot hurt a server that runs: move the old file away first.
 */
const [backup, path] = process.argv.slice(2);
const maker = backup && makerOf(backup);
if (!backup || !maker || maker === 'stranger')
  fail(backup ? `${backup} is no database of Fonte.` : 'Say what from: npm run restore -- BACKUP');
const target = resolve(path ?? readSettings(process.env).database);
for (const file of [target, `${target}-wal`, `${target}-shm`]) if (existsSync(file)) fail(`${file} is there: move it away first.`);

mkdirSync(dirname(target), { recursive: true, mode: 0o700 });
const draft = `${target}.restoring`;
rmSync(draft, { force: true });
copyFileSync(backup, draft);
chmodSync(draft, 0o600);
const store = await Store.open(draft);
// A copy of an earlier version is whole, too: its tables are made of its books anew.
await ensureDerived(store, derivation).catch(() => undefined);
const faults = await verifyStore(store, derivation);
let books = 0;
for await (const { book, faults: found } of verifyBooks(store, derivation)) {
  books += 1;
  faults.push(...found.map(({ where, what }) => ({ where: `${book}: ${where}`, what })));
}
await store.close();
if (faults.length > 0) {
  for (const { where, what } of faults) console.error(`BROKEN  ${where}: ${what}`);
  fail(`${backup} is not whole. What could be copied of it lies in ${draft}.`);
}
const handle = openSync(draft, 'r');
fsyncSync(handle);
closeSync(handle);
// A link is refused where a file has come meanwhile; a rename would have written over it.
linkSync(draft, target);
for (const suffix of ['', '-wal', '-shm']) rmSync(`${draft}${suffix}`, { force: true });
console.log(`Restored ${books} books to ${target}.`);

import { closeSync, copyFileSync, existsSync, fsyncSync, linkSync, mkdirSync, openSync, chmodSync, rmSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { derivation, endAllAccess, ensureDerived, readSettings, Store, verifyDatabase } from '../index.ts';
import { existing, fail, inOneLine } from './existing.ts';

/*
 * npm run restore BACKUP [database] [--without-log]: makes a database from a copy, once the copy was found whole. It never writes over a file,
 * so it cannot hurt a server that runs: move the old file away first. What lets people in is of the time of the copy: whoever was signed in
 * then, and every link, is out. A file whose log is lost is taken without it where that is asked for.
 */
const options = process.argv.slice(2);
const withoutLog = options.includes('--without-log');
const [backup, path] = options.filter((one) => !one.startsWith('--'));
if (!backup) fail('Say what from: npm run restore -- BACKUP');
await existing(backup, { withoutLog });
const target = resolve(path ?? readSettings(process.env).database);
for (const file of [target, `${target}-wal`, `${target}-shm`]) if (existsSync(file)) fail(`${file} is there: move it away first.`);

mkdirSync(dirname(target), { recursive: true, mode: 0o700 });
const draft = `${target}.restoring`;
const clear = () => ['', '-wal', '-shm'].forEach((suffix) => rmSync(`${draft}${suffix}`, { force: true }));
clear();
// A copy made by hand has what was written last beside it.
for (const suffix of ['', '-wal']) if (existsSync(`${backup}${suffix}`)) copyFileSync(`${backup}${suffix}`, `${draft}${suffix}`);
chmodSync(draft, 0o600);
let books = 0;
try {
  const store = await Store.open(draft, { isCopy: true, withoutLog });
  // A copy of an earlier version is whole, too: its tables are made of its books anew.
  await ensureDerived(store, derivation).catch(() => undefined);
  await endAllAccess(store);
  await store.close();
  const faults = await verifyDatabase(draft, {
    book: ({ book, faults: found }) => {
      books += 1;
      for (const { where, what } of found) console.error(`BROKEN  ${book}: ${where}: ${what}`);
    },
    fault: ({ where, what }) => console.error(`BROKEN  ${where}: ${what}`),
  });
  if (faults > 0) fail(`${backup} is not whole. What could be copied of it lies in ${draft}.`);
} catch (failure) {
  fail(`${backup} cannot be restored: ${inOneLine(failure)}`);
}
const handle = openSync(draft, 'r');
fsyncSync(handle);
closeSync(handle);
// A link is refused where a file has come meanwhile; a rename would have written over it.
linkSync(draft, target);
clear();
console.log(`Restored ${books} books to ${target}.
All sessions and sign-in links were ended: people sign in again, with the passphrases from the time of the backup.
Access that was ended and devices that were reported lost after the backup are active again: check People and Devices.`);

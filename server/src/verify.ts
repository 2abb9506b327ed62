import { openStore, readSettings, verifyBooks } from './index.ts';

const { database } = readSettings(process.env);
const store = await openStore(process.argv[2] ?? database);
let broken = 0;
for (const { book, entries, broken: at } of await verifyBooks(store)) {
  if (at) broken += 1;
  console.log(at ? `BROKEN  ${book}: entry ${at.seq} (${at.id}): ${at.reason}` : `whole   ${book}: ${entries} entries`);
}
await store.destroy();
process.exitCode = broken > 0 ? 1 : 0;

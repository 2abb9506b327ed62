import { Books, openStore, readSettings } from './index.ts';

const { database } = readSettings(process.env);
const store = await openStore(process.argv[2] ?? database);
await new Books(store, Date.now).rebuild();
await store.destroy();
console.log('The tables were made again from the books.');

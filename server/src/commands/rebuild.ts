import { derivation, rebuild } from '../index.ts';
import { existing } from './existing.ts';

const store = await existing(process.argv[2], { readOnly: false });
const books = await rebuild(store, derivation);
await store.close();
console.log(`The tables were made again from ${books} books.`);

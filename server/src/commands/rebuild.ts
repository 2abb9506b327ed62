import { derivation, rebuild, Store } from '../index.ts';
import { existing, fail, inOneLine } from './existing.ts';

const file = await existing(process.argv[2]);
try {
  const store = await Store.open(file, { beside: true, onCarriedOver: (copy) => console.log(`As it was, the database lies in ${copy}.`) });
  const books = await rebuild(store, derivation);
  await store.close();
  console.log(`The tables were made again from ${books} books.`);
} catch (failure) {
  fail(inOneLine(failure));
}

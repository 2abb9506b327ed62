import { linkTo } from '@fonte/core/access';
import { Books, derivation, linkOnConsole, Store } from '../index.ts';
import { existing, fail, inOneLine } from './existing.ts';

/*
 * npm run link NAME [database]: a link that lets somebody who is registered in, once, as for the last coordinator who has lost theirs. A
 * server may run meanwhile. It stands in the book of the door, and coordinators are told.
 */
const [name, path] = process.argv.slice(2);
if (!name) fail('Say for whom: npm run link -- "NAME"');
try {
  const store = await Store.open(await existing(path), { beside: true });
  const at = { store, books: new Books(store, Date.now, derivation), clock: Date.now };
  const made = await linkOnConsole(at, name);
  await store.close();
  if (!made) fail(`Nobody who may come in signs in as ${name}.`);
  console.log(`${linkTo('https://YOUR-ADDRESS', made.token)}
It lets ${name} in once, until ${new Date(made.until).toISOString().slice(0, 16).replace('T', ' ')} UTC. Put the address of your server at its beginning.`);
} catch (failure) {
  fail(inOneLine(failure));
}

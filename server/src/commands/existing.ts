import { makerOf, readSettings, Store } from '../index.ts';

/** Ends the process with one line that says why. */
export function fail(message: string): never {
  console.error(message);
  process.exit(2);
}

/** Opens a database that is there. A path that holds none is said to, and nothing is made. */
export async function existing(path: string | undefined, options: { readOnly: boolean } = { readOnly: true }): Promise<Store> {
  const file = path ?? readSettings(process.env).database;
  const maker = makerOf(file);
  if (maker === null) fail(`There is no file ${file}.`);
  if (maker === 'stranger') fail(`${file} is no database of Fonte.`);
  return Store.open(file, options);
}

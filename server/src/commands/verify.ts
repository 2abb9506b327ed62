import { readFileSync } from 'node:fs';
import { breakWords, fileWords, isGood, signatureWords } from '@fonte/core/book';
import { verifyDatabase, verifyFile } from '../index.ts';
import { existing, fail } from './existing.ts';

/*
 * npm run verify [database]                       every book, its tables, the kept files
 * npm run verify FILE.book.json [COUNT:HASH]      a book that was handed out, alone, against a head known elsewhere
 */
const [path, known] = process.argv.slice(2);

async function checkFile(file: string): Promise<boolean> {
  const [count, hash] = known?.split(':') ?? [];
  const witness = known ? { count: Number(count), hash: hash ?? '' } : null;
  const verified = await verifyFile(readFileSync(file, 'utf8'), witness);
  const { book, head, breaks, signatures, isWhole, isWitnessed, files } = verified;
  for (const { seq, id, code } of breaks) console.log(`BROKEN  ${book}: entry ${seq} (${id}): ${breakWords[code]}`);
  for (const { seq, id, code } of signatures.faults) console.log(`BROKEN  ${book}: entry ${seq} (${id}): ${signatureWords[code]}`);
  for (const { seq, id, code } of files?.faults ?? []) console.log(`BROKEN  ${book}: entry ${seq} (${id}): ${fileWords[code]}`);
  if (!isWhole) console.log(`BROKEN  ${book}: it does not end where it says`);
  if (isWitnessed === false) console.log(`BROKEN  ${book}: it is not the book of which ${known} was told`);
  const { signed, byServer, unsigned, unreadable } = signatures;
  if (isGood(verified)) {
    console.log(`whole   ${book}: ${head?.count ?? 0} entries, head ${head?.hash ?? 'none'}`);
    console.log(
      `signed  ${signed} by devices; ${byServer} by the server, ${unsigned} from before there were keys, ${unreadable} made unreadable`,
    );
    console.log(files ? `files   ${files.named}, each as its entry names it` : 'files   not with this book');
  }
  return isGood(verified);
}

async function checkDatabase(): Promise<boolean> {
  let books = 0;
  const faults = await verifyDatabase(await existing(path), {
    book: ({ book, type, entries, head, unsigned, faults: found }) => {
      books += 1;
      if (found.length === 0)
        console.log(`whole   ${book}: ${entries} entries (${type})${unsigned > 0 ? `, ${unsigned} unsigned` : ''}, head ${head}`);
      for (const { where, what } of found) console.log(`BROKEN  ${book}: ${where}: ${what}`);
    },
    fault: ({ where, what }) => console.log(`BROKEN  ${where}: ${what}`),
    note: (sentence) => console.log(`note    ${sentence}`),
  });
  console.log(
    `${books === 1 ? '1 book' : `${books} books`}, ${faults === 0 ? 'nothing wrong' : `${faults} ${faults === 1 ? 'fault' : 'faults'}`}`,
  );
  return faults === 0;
}

try {
  process.exitCode = (path?.endsWith('.json') ? await checkFile(path) : await checkDatabase()) ? 0 : 1;
} catch (error) {
  fail(error instanceof Error ? error.message : String(error));
}

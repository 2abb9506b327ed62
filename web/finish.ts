import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { brotliCompressSync, constants } from 'node:zlib';
import { addresses } from './src/app/rooms.ts';

const dist = new URL('dist/', import.meta.url);

/** Tells the server which addresses have a page; it answers 404 to any other. */
writeFileSync(new URL('paths.json', dist), JSON.stringify(addresses()));

/** Packed once and well, so that neither the server nor a weak signal does more than it must. */
const assets = new URL('assets/', dist);
for (const file of readdirSync(assets).filter((name) => /\.(js|css)$/.test(name))) {
  const packed = brotliCompressSync(readFileSync(new URL(file, assets)), { params: { [constants.BROTLI_PARAM_QUALITY]: 10 } });
  writeFileSync(new URL(`${file}.br`, assets), packed);
}

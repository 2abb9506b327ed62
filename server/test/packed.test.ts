import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import { afterEach, expect, it } from 'vitest';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
afterEach(() => at.close());

it('hands out the page’s files as they were packed, plain to those who cannot unpack, and nothing beside them', async () => {
  const web = mkdtempSync(join(tmpdir(), 'fonte-web-'));
  mkdirSync(join(web, 'assets'));
  const script = 'export const well = 7.4;\n'.repeat(100);
  writeFileSync(join(web, 'paths.json'), '["/"]');
  writeFileSync(join(web, 'index.html'), '<!doctype html>');
  writeFileSync(join(web, 'assets/index-1.js'), script);
  writeFileSync(join(web, 'assets/index-1.js.br'), brotliCompressSync(script));
  at = await bench({ web });
  const packed = await at.api.get('/assets/index-1.js').set('accept-encoding', 'gzip, br');
  expect([packed.status, packed.headers['content-encoding'], packed.text]).toEqual([200, 'br', script]);
  expect(packed.headers).toMatchObject({
    'content-type': expect.stringMatching(/javascript/) as string,
    'cache-control': 'public, max-age=31536000, immutable',
  });
  const plain = await at.api.get('/assets/index-1.js').set('accept-encoding', 'identity');
  expect([plain.status, plain.headers['content-encoding'], plain.text]).toEqual([200, undefined, script]);
  for (const path of ['/assets/', '/assets/none.js', '/assets/..%2fpaths.json', '/assets/%2e%2e/%2e%2e/etc/passwd'])
    expect((await at.api.get(path)).text, path).not.toMatch(/well|root:|\["\/"\]/);
});

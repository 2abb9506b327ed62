import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { describe, expect, it } from 'vitest';
import { seriousBarriers } from './axe.ts';
import { click, desk, option, overflow, phone, see, shows, tick } from './browser.ts';
import type { Running } from './harness.ts';
import { onDemo } from './stage.ts';

let server: Running;
let page: Page;
const folder = mkdtempSync(join(tmpdir(), 'fonte-'));

onDemo((stage) => ({ server, page } = stage));

async function bring(name: string, text: string): Promise<void> {
  const file = join(folder, name);
  writeFileSync(file, text);
  const input = (await page.waitForSelector('.ant-upload input[type=file]'))!;
  await input.uploadFile(file);
}

const head = 'code,name,place,kind,use,outlet,least_free_chlorine_mg_L,latitude,longitude';

describe.sequential('points as a file', () => {
  it('show row by row what they would change, and write only what holds', async () => {
    await page.goto(`${server.address}/points`, { waitUntil: 'domcontentloaded' });
    await click(page, 'Bring in, take out', 'link');
    await see(page, 'Choose a file, or drop it here');
    await bring(
      'points.csv',
      [
        head,
        'MH1,Market hall and quay,,,,,,,',
        'SC1,School,,,,,,,',
        'SH1,Sports hall,Lomba Velha,shower,supply,Shower left,0.2,36.5301,-31.0440',
        'SH2,Sports hall,Lomba Velha,shower,supply,Shower right,0.2,-31.0440,36.5301',
        'XX1,Nowhere,,tap,supply,Tap,none,,',
      ].join('\n'),
    );
    await see(page, 'name: Market hall → Market hall and quay');
    await see(page, '“tap” is not one of: ');
    await see(page, 'the other way round it is among them');
    await see(page, 'The same 1');
    await see(page, 'Write 2 points down');
    expect(await seriousBarriers(page)).toEqual([]);
    await tick(page, 'The row that is asked about is right');
    await see(page, 'Write 3 points down');
    await tick(page, 'The row that is asked about is right');
    await click(page, 'Write 2 points down');
    await see(page, '2 of 5 rows were written down');
    await click(page, 'To the points', 'link');
    await see(page, 'Market hall and quay');
    await see(page, 'Sports hall');
    expect(await shows(page, 'SH2')).toBe(false);
  });

  it('say what is wrong with a file that is none, and take the next one', async () => {
    await page.goto(`${server.address}/points/exchange`, { waitUntil: 'domcontentloaded' });
    await bring('odd.csv', 'name;place\nA;B');
    await see(page, 'There is no column “code”');
    await bring(
      'points.geojson',
      '{ "features": [{ "geometry": null, "properties": { "code": "SH1", "name": "Sports hall, showers" } }] }',
    );
    await see(page, 'name: Sports hall → Sports hall, showers');
    await click(page, 'Leave the register as it is');
    await bring('kode.csv', 'Kode;Name\nSH1;Sports hall');
    await option(page, 'Column Kode', 'code');
    await see(page, 'The same 1');
    await page.reload({ waitUntil: 'domcontentloaded' });
    await bring('kode.csv', 'Kode;Name\nSH1;Sports hall, left');
    await see(page, 'name: Sports hall → Sports hall, left');
    await click(page, 'Leave the register as it is');
    await page.setViewport(phone);
    await see(page, 'Bring them in');
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.setViewport(desk);
  });
});

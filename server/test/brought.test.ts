import { newId, writeEntry } from '@fonte/core/book';
import { refOf } from '@fonte/core/editions';
import { limitSets } from '@fonte/core/limits';
import type { BroughtDraft } from '@fonte/core/read';
import { reportBrought, type BroughtReport } from '@fonte/core/registers';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { signed } from '../../core/test/keys.ts';
import { phone, technician } from '../../core/test/script.ts';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
beforeEach(async () => {
  at = await bench();
});
afterEach(() => at.close());

const text = 'Sample;Analyte;Result;Unit\nKitchen;Lead;12;µg/L\nCellar;Lead;2;µg/L\n';
const upload = (body: string | Buffer) => at.api.post('/api/report-files').set('content-type', 'application/octet-stream').send(body);
const sha = async (body: string | Buffer = text) => ((await upload(body)).body as { sha256: string }).sha256;
const draftOf = async (asked: object) => (await at.api.post('/api/reports/try').send(asked)).body as BroughtDraft;
const reportOf = (sha256: string, draft: BroughtDraft): BroughtReport => ({
  id: newId(at.script.now),
  name: 'House at the bend',
  file: { sha256, name: 'kitchen.csv' },
  sampled: '2026-11-20',
  kind: 'private-well',
  water: 'private',
  limits: [refOf(limitSets.on('eu-2020-2184', '2026-11-20')!)],
  sample: 'Kitchen',
  mapping: draft.mapping,
});
const register = (report: BroughtReport) =>
  at.post(
    signed(writeEntry({ book: report.id, author: technician.id, device: phone, now: at.script.now, offset: 0 }, reportBrought, report)),
    report.id,
  );

it('a report that somebody brought is kept, read as it is said, and read so again by its page', async () => {
  const sha256 = await sha();
  const open = await draftOf({ sha256 });
  expect([open.samples, open.sample]).toEqual([['Kitchen', 'Cellar'], null]);
  const draft = await draftOf({ sha256, sample: 'Kitchen', sampled: '2026-11-20' });
  expect(draft.results).toMatchObject([{ bottle: 'Kitchen', parameter: 'lead', value: 12 }]);
  const report = reportOf(sha256, draft);
  expect((await register(report)).status).toBe(201);
  expect((await at.api.get('/api/reports')).body).toEqual([report]);
  const read = (await at.api.get(`/api/reports/${report.id}/read`)).body as BroughtDraft;
  expect([read.sample, read.results]).toEqual(['Kitchen', draft.results]);
  const file = await at.api.get(`/api/reports/${report.id}/file`);
  expect([file.status, file.headers['content-disposition']]).toEqual([200, expect.stringContaining('kitchen.csv')]);
});

it('a file that is no report is refused with what is wrong with it, and a report needs its file', async () => {
  expect((await upload('')).status).toBe(422);
  const answer = await at.api.post('/api/reports/try').send({ sha256: await sha('hello\nworld') });
  expect([answer.status, (answer.body as { title: string }).title]).toEqual([422, expect.stringContaining('No row with column names')]);
  expect((await at.api.post('/api/reports/try').send({ sha256: 'd'.repeat(64) })).status).toBe(410);
  const report = reportOf('d'.repeat(64), await draftOf({ sha256: await sha() }));
  expect((await register(report)).status).toBe(422);
  expect((await at.api.get(`/api/reports/${newId(0)}/read`)).status).toBe(404);
});

it('nobody reads it who is not signed in', async () => {
  const asked = { sha256: await sha() };
  expect((await at.nobody.post('/api/reports/try').send(asked)).status).toBe(401);
  expect((await at.nobody.get('/api/reports')).status).toBe(401);
});

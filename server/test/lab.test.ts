import { newId } from '@fonte/core/book';
import { handedOver } from '@fonte/core/custody';
import { bottleFilled } from '@fonte/core/fill';
import { levelRead } from '@fonte/core/level';
import { purgeEnded, purgeSetUp } from '@fonte/core/purge';
import type { Mapping, ReportDraft } from '@fonte/core/read';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { bench, type Bench } from './bench-server.ts';

let at: Bench;
let handOver: string;
const [nitrogen, metals] = ['261123A-MW3-N', '261123A-MW3-M'];

beforeEach(async () => {
  at = await bench();
  const { script } = at;
  const level = { visit: script.well, measuringPoint: 'North rim', depth: { text: '7.40', unit: 'm' as const }, water: 'static' as const };
  const steps = [
    script.write(levelRead, level),
    script.write(levelRead, level),
    script.write(purgeSetUp, {
      visit: script.well,
      insideDiameter: { text: '52', unit: 'mm' },
      volumes: 3,
      criterion: 'two-sets',
      parameters: ['ph'],
    }),
    script.write(purgeEnded, { visit: script.well, flowCellDetached: true, reason: 'ran dry' }),
    script.write(bottleFilled, { visit: script.well, bottle: nitrogen! }),
    script.write(bottleFilled, { visit: script.well, bottle: metals! }),
    script.write(handedOver, {
      to: 'lab',
      releasedBy: 'Inês Faria',
      receivedBy: 'Desk',
      coolerTemperature: { text: '4.2', unit: 'degC' },
      seal: '',
      signature: 'Inês Faria',
      bottles: [
        { bottle: nitrogen!, condition: 'good' },
        { bottle: metals!, condition: 'leaking' },
      ],
    }),
  ];
  for (const step of steps) expect((await at.post(step)).status).toBe(201);
  handOver = steps.at(-1)!.id;
});
afterEach(() => at.close());

const ask = () => at.api.post(`/api/rounds/${at.script.book}/hand-overs/${handOver}/intake`);
const url = (path: string) => `/api/rounds/${at.script.book}/reports${path}`;
const upload = (body: string | Buffer) => at.api.post(url('?name=r.csv')).set('content-type', 'text/csv').send(body);
const csv =
  'Amostra;Ensaio;Valor;Un.;LQ\n261123A-MW3-N;Nitratos;12,9;mg/L N;0,1\n261123A-MW3-N;Nitritos;<0,01;mg/L N;0,01\n261123A-MW3-M;Ferro;340;µg/L;5\n';

describe('the desk', () => {
  it('gets the form once and its answer is written down, refusals too', async () => {
    at.desk.refuse = { [metals!]: 'Leaking' };
    await Promise.all([ask(), ask()]);
    expect(at.desk.asked).toMatchObject([
      {
        count: 2,
        coolerTemperature: 4.2,
        bottles: [{ bottle: nitrogen, requests: ['Nutrients'], residual: 'not-needed' }, { condition: 'Leaking' }],
      },
    ]);
    expect((await at.entries()).at(-1)).toMatchObject({
      kind: 'lab-answered',
      payload: { bottles: [{ accepted: true }, { accepted: false, reason: 'Leaking' }] },
    });
    const { round } = await at.books.view(at.script.book);
    expect(round!.followUps).toMatchObject([{ id: `resample:${metals}` }]);
  });

  it('that cannot be reached loses nothing', async () => {
    at.desk.takeIn = () => Promise.reject(new Error('no line'));
    expect((await ask()).status).toBe(500);
    delete (at.desk as { takeIn?: unknown }).takeIn;
    expect((await ask()).status).toBe(200);
  });

  it('is not asked about a hand-over that does not exist', async () => {
    expect((await at.api.post(`/api/rounds/${at.script.book}/hand-overs/${newId(0)}/intake`)).status).toBe(404);
  });
});

describe('a report', () => {
  const draft = async (sha256: string, mapping?: Mapping) =>
    (await at.api.post(url(`/${sha256}/draft`)).send(mapping ? { mapping } : {})).body as ReportDraft;
  const sha = async (answer: ReturnType<typeof upload>) => ((await answer).body as { sha256: string }).sha256;

  beforeEach(async () => {
    at.desk.refuse = { [metals!]: 'Leaking' };
    await ask();
  });

  it('is fetched from the desk, once', async () => {
    const none = await at.api.post(url('/fetch'));
    expect(none.body).toEqual({ reports: [] });
    at.desk.csv = csv;
    const [first, second] = [await at.api.post(url('/fetch')), await at.api.post(url('/fetch'))];
    expect((first.body as { reports: unknown[] }).reports).toEqual((second.body as { reports: unknown[] }).reports);
    expect((await at.entries()).filter((entry) => entry.kind === 'report-received')).toHaveLength(1);
  });

  it('is drafted, then read by the server itself; a refused bottle has no results', async () => {
    const sha256 = await sha(upload(csv));
    const proposed = await draft(sha256);
    expect(proposed).toMatchObject({
      refusal: null,
      rowCount: 3,
      unreadCount: 1,
      unread: [{ line: 4, why: expect.stringContaining('No bottle of this round that the lab has') as string }],
      missing: [],
    });
    const request = { id: newId(at.script.now), mapping: proposed.mapping, results: [{ parameter: 'nitrate', value: 0 }] };
    const written = await at.api.post(url(`/${sha256}/read`)).send(request);
    expect(written.status).toBe(201);
    expect((await at.api.post(url(`/${sha256}/read`)).send(request)).status).toBe(200);
    const rows = await at.store.query<{ parameter: string; value: number; verdict: string }[]>(
      'SELECT parameter, value, verdict FROM results ORDER BY parameter',
    );
    expect(rows).toEqual([
      { parameter: 'nitrate', value: expect.closeTo(57.1, 1) as number, verdict: 'over-health' },
      { parameter: 'nitrite', value: expect.closeTo(0.0328, 3) as number, verdict: 'meets' },
    ]);
  });

  it('is not read with the reporting limit as the result by default, nor without a result', async () => {
    const sha256 = await sha(upload('Amostra;Ensaio;LQ;Un.\n261123A-MW3-N;Nitratos;0,1;mg/L N\n'));
    const { mapping, refusal } = await draft(sha256);
    expect(mapping.columns).toMatchObject({ reportingLimit: 2 });
    expect(refusal?.code).toBe('no-result-column');
    const answer = await at.api.post(url(`/${sha256}/read`)).send({ id: newId(at.script.now), mapping });
    expect([answer.status, (answer.body as { detail: string }).detail]).toEqual([
      422,
      expect.stringContaining('The reporting limit is not the result'),
    ]);
  });

  it.each([
    ['nothing', '', 'report-empty'],
    ['blanks', '  \n', 'report-empty'],
    ['no CSV', Buffer.from('%PDF-1.7 \u0000'), 'report-not-text'],
    ['one column', 'hello\nworld', 'report-no-columns'],
    ['an open quote', 'a,b,c\n1,"2,3\n', 'report-quotes'],
  ])('that is %s is refused with line and column, and not kept', async (_, body, code) => {
    const answer = await upload(body);
    expect([answer.status, (answer.body as { type: string }).type]).toEqual([422, `urn:fonte:problem:${code}`]);
    expect((answer.body as { title: string }).title).toMatch(/line \d+, column \d+/);
    expect((await at.entries()).some((entry) => entry.kind === 'report-received')).toBe(false);
  });

  it('with a mark, Windows line ends and quoted breaks is read', async () => {
    const text = `\ufeff"Sample";"Analyte";"Result";"Unit";"RL"\r\n"${nitrogen}";"Nitrate\r\nas N";"12,9";"mg/L N";"0,1"\r\n`;
    expect((await draft(await sha(upload(text)))).results).toMatchObject([{ line: 2, parameter: 'nitrate' }]);
  });

  it('of 200,000 rows is read while the server answers others', async () => {
    const rows = Array.from({ length: 200_000 }, (_, index) => `Other-${index};Nitratos;12,9;mg/L N;0,1`).join('\n');
    const reading = upload(`Amostra;Ensaio;Valor;Un.;LQ\n${rows}\n${nitrogen};Nitratos;12,9;mg/L N;0,1\n`).then((answer) => answer);
    let answered = 0;
    let isDone = false;
    void reading.then(() => {
      isDone = true;
    });
    while (!isDone) {
      expect((await at.api.get('/api/health')).status).toBe(200);
      answered += 1;
    }
    expect(answered).toBeGreaterThan(3);
    const { rowCount, unreadCount, unread, results } = await draft(((await reading).body as { sha256: string }).sha256);
    expect([rowCount, unreadCount, unread.length, results.length]).toEqual([200_001, 200_000, 200, 1]);
  });
});

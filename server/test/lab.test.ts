import { newId } from '@fonte/core/book';
import { handedOver } from '@fonte/core/custody';
import { bottleFilled } from '@fonte/core/fill';
import { levelRead } from '@fonte/core/level';
import { labAdded } from '@fonte/core/plan';
import { purgeEnded, purgeReading, purgeSetUp } from '@fonte/core/purge';
import { lineIn, reportPutAside, type Mapping, type ReportDraft } from '@fonte/core/read';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { coordinator, handing, idOf, lab, phone, Script, technician, wellPoint } from '../../core/test/script.ts';
import { bench, type Bench } from './bench-server.ts';
import { workbookOf } from './workbook.ts';

let at: Bench;
let handOver: string;
const [nitrogen, metals] = ['261123A-MW3-N', '261123A-MW3-M'];

beforeEach(async () => {
  at = await bench();
  const { script } = at;
  const level = { measuringPoint: 'North rim', depth: { text: '7.40', unit: 'm' as const }, water: 'static' as const };
  const steps = [
    script.atWell(levelRead, level),
    script.atWell(levelRead, level),
    script.atWell(purgeSetUp, {
      method: 'volumes',
      insideDiameter: { text: '52', unit: 'mm' },
      volumes: 3,
      criterion: 'two-sets@2026-1',
      parameters: ['ph'],
    }),
    ...['40', '80'].map((text) =>
      script.atWell(purgeReading, { pumped: { text, unit: 'L' }, values: { ph: { text: '6.90', unit: 'pH' } } }),
    ),
    script.atWell(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } }),
    script.atWell(bottleFilled, { bottle: nitrogen }),
    script.atWell(bottleFilled, { bottle: metals }),
    script.write(handedOver, handing([nitrogen, { bottle: metals, condition: 'leaking' }])),
  ];
  for (const step of steps) expect((await at.post(step)).status).toBe(201);
  handOver = steps.at(-1)!.id;
});
afterEach(() => at.close());

const ask = () => at.api.post(`/api/rounds/${at.script.book}/hand-overs/${handOver}/intake`);
const url = (path: string) => `/api/rounds/${at.script.book}/reports${path}`;
const upload = (body: string | Buffer) => at.api.post(url(`?name=r.csv`)).set('content-type', 'text/csv').send(body);
const csv =
  'Amostra;Ensaio;Valor;Un.;LQ\n261123A-MW3-N;Nitratos;12,9;mg/L N;0,1\n261123A-MW3-N;Nitritos;<0,01;mg/L N;0,01\n261123A-MW3-M;Ferro;340;µg/L;5\n';

describe('the desk', () => {
  it('gets the form once and its answer is written down, refusals too', async () => {
    at.desk.refuse = { [metals]: 'Leaking' };
    await Promise.all([ask(), ask()]);
    expect(at.desk.asked[0]).toMatchObject({
      count: 2,
      boxes: [{ temperature: 4.2 }],
      bottles: [{ bottle: nitrogen, kind: 'nitrogen', residual: 'not-needed' }, { condition: 'leaking' }],
    });
    // What the lab says again is no news.
    await ask();
    expect((await at.entries()).filter(({ kind }) => kind === 'lab-answered')).toHaveLength(1);
    expect((await at.entries()).at(-1)).toMatchObject({
      kind: 'lab-answered',
      payload: { bottles: [{ accepted: true }, { accepted: false, reason: 'Leaking' }] },
    });
    expect((await at.books.round(at.script.book)).followUps).toMatchObject([{ id: `call-lab:${handOver}` }, { id: `resample:${metals}` }]);
  });

  it('may say later that a bottle broke: what it said last holds, and its sample is owed', async () => {
    await ask();
    at.desk.refuse = { [nitrogen]: 'Broken on the bench' };
    await ask();
    const round = await at.books.round(at.script.book);
    expect(round.bottles.find(({ id }) => id === nitrogen)?.lost).toEqual({ how: 'refused', reason: 'Broken on the bench' });
    expect(round.followUps).toMatchObject([{ id: `call-lab:${handOver}` }, { id: `resample:${nitrogen}` }]);
  });

  it('that goes on about other bottles is set aside once, and one that changes its mind twice is heard each time', async () => {
    at.desk.refuse = {};
    const { takeIn } = at.desk;
    at.desk.takeIn = () => Promise.resolve({ reference: 'L-1', bottles: [{ bottle: 'of another form', accepted: true }] });
    await ask();
    await ask();
    expect((await at.entries()).filter(({ kind }) => kind === 'lab-answered')).toHaveLength(1);
    at.desk.takeIn = takeIn.bind(at.desk);
    for (const refuse of [{}, { [metals]: 'Broke' }, {}]) {
      at.desk.refuse = refuse;
      at.script.now += 60_000;
      await ask();
    }
    expect((await at.entries()).filter(({ kind }) => kind === 'lab-answered')).toHaveLength(4);
    expect((await at.books.round(at.script.book)).bottles.find(({ id }) => id === metals)?.accepted).toBe(true);
  });

  it('gets the head of the book with the form, and so is a witness to its end', async () => {
    await ask();
    const view = (await at.books.view(at.script.book))!;
    const asked = at.desk.asked[0]!.book;
    expect(asked).toEqual({ id: at.script.book, count: 10, hash: view.entries.at(9)!.hash });
    expect(view.entries.at(9)!.id).toBe(handOver);
  });

  it('answers after what it answers, also where the device’s clock is ahead', async () => {
    at.script.now -= 30 * 60_000;
    await ask();
    expect((await at.books.round(at.script.book)).handOvers[0]!.answer?.reference).toBe('L-1');
  });

  it('that hangs holds up no other round', async () => {
    let release = () => {};
    at.desk.takeIn = () =>
      new Promise((resolve) => {
        release = () => resolve({ reference: 'late', bottles: [] });
      });
    const hanging = ask().then((answer) => answer.status);
    const other = at.api.post(`/api/rounds/${at.script.book}/hand-overs/${newId(0)}/intake`);
    expect((await other).status).toBe(404);
    release();
    expect(await hanging).toBe(200);
  });

  it('that cannot be reached loses nothing', async () => {
    at.desk.takeIn = () => Promise.reject(new Error('no line'));
    expect((await ask()).status).toBe(502);
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
    at.desk.refuse = { [metals]: 'Leaking' };
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
      unread: [{ line: 4, code: 'not-at-lab' }],
      missing: [],
    });
    const request = { id: newId(at.script.now), mapping: proposed.mapping, results: [{ parameter: 'nitrate', value: 0 }] };
    const written = await at.api.post(url(`/${sha256}/read`)).send(request);
    expect(written.status).toBe(201);
    expect((await at.api.post(url(`/${sha256}/read`)).send(request)).status).toBe(200);
    const rows = await at.store.read<{ parameter: string; value: number; verdict: string }[]>(
      'SELECT parameter, value, verdict FROM results ORDER BY parameter',
    );
    expect(rows).toEqual([
      { parameter: 'nitrate', value: expect.closeTo(57.1, 1) as number, verdict: 'over-health' },
      { parameter: 'nitrite', value: expect.closeTo(0.0328, 3) as number, verdict: 'meets' },
    ]);
  });

  it('gives its results to the system of its round, from the day asked for on', async () => {
    const sha256 = await sha(upload(csv));
    const { mapping } = await draft(sha256);
    expect((await at.api.post(url(`/${sha256}/read`)).send({ id: newId(at.script.now), mapping })).status).toBe(201);
    const systems = (await at.api.get('/api/systems')).body as string[];
    expect(systems).toHaveLength(1);
    const results = async (system: string, from: string) =>
      (await at.api.get(`/api/systems/results?${String(new URLSearchParams({ system, from }))}`)).body as unknown;
    expect(await results(systems[0]!, '2026-11-01')).toMatchObject([
      { round: at.script.book, pointName: wellPoint.name, bottle: nitrogen, sample: 'routine', parameter: 'nitrate', form: 'value' },
      { parameter: 'nitrite', form: 'below', reportingLimit: expect.closeTo(0.0328, 3) as number },
    ]);
    expect(await results(systems[0]!, '2026-12-01')).toEqual([]);
    expect(await results('Another water', '2026-11-01')).toEqual([]);
  });

  it('whose labels belong to another round says to which', async () => {
    const other = new Script(at.script.device, at.script.author);
    const plan = other.plan([], {
      code: '261109C',
      name: 'Tannery before',
      visits: [{ id: other.well, point: wellPoint, analyses: ['nutrients'] }],
    });
    expect((await at.post(plan.entries[0]!, other.book)).status).toBe(201);
    const asked = (text: string) => sha(upload(text)).then(draft) as Promise<ReportDraft & { elsewhere: unknown[] }>;
    const strange = await asked(csv.replaceAll('261123A-MW3-N', '261109C-MW3-N'));
    expect(strange.elsewhere).toEqual([{ round: other.book, code: '261109C', name: 'Tannery before', labels: 1 }]);
    expect((await asked(csv)).elsewhere).toEqual([]);
  });

  it('that says something else than one before is written down only with a word on which of them holds', async () => {
    const first = await sha(upload(csv));
    const mapping = (await draft(first)).mapping;
    const read = (sha256: string, more: object = {}) =>
      at.api.post(url(`/${sha256}/read`)).send({ id: newId((at.script.now += 1)), mapping: { ...mapping, ...more } });
    expect((await read(first)).status).toBe(201);
    const amended = await sha(upload(csv.replace('12,9', '1,9')));
    const refused = await read(amended);
    expect(refused.status).toBe(422);
    expect((refused.body as { errors: unknown }).errors).toMatchObject([{ path: 'mapping.replaces' }]);
    expect((await read(amended, { replaces: { [first]: 'whole' } })).status).toBe(201);
    const rows = await at.store.read<{ value: number }[]>(`SELECT value FROM results WHERE parameter = 'nitrate'`);
    expect(rows).toEqual([{ value: expect.closeTo(8.41, 1) as number }]);
  });

  it('is read as the last one of this lab with the same columns, as long as that one stands', async () => {
    const odd = (value: string) => `Kode;Was;Zahl;Un.\n261123A-MW3-N;Nitratos;${value};mg/L\n`;
    const first = await sha(upload(odd('12')));
    const columns = { sample: 0, parameter: 1, result: 2, unit: 3 };
    expect(await draft(first)).toMatchObject({ isRemembered: false, refusal: { code: 'no-result-column' } });
    const mapping = { columns, nitrogenAs: 'N' };
    expect((await at.api.post(url(`/${first}/read`)).send({ id: newId(at.script.now), mapping })).status).toBe(201);
    const next = await sha(upload(odd('13')));
    expect(await draft(next)).toMatchObject({ isRemembered: true, refusal: null, mapping, results: [{ parameter: 'nitrate' }] });
    const other = await sha(upload(odd('14').replace('Kode', 'Code')));
    expect(await draft(other)).toMatchObject({ isRemembered: false });
    await at.post(at.script.write(reportPutAside, { sha256: first, reason: 'of another round' }));
    expect(await draft(next)).toMatchObject({ isRemembered: false });
  });

  it('is remembered with the lab that its bottles went to, and not with the round’s own', async () => {
    const coast = { ...lab, id: idOf(31), name: 'Lab of the coast' };
    expect((await at.post(at.script.write(labAdded, { lab: coast, bottles: ['nitrogen'], splits: false }))).status).toBe(201);
    const first = await sha(upload(csv));
    const { mapping } = await draft(first);
    expect((await at.api.post(url(`/${first}/read`)).send({ id: newId(at.script.now), mapping })).status).toBe(201);
    expect(await at.store.read('SELECT lab FROM columns')).toEqual([{ lab: coast.id }]);
    // The next of the round is proposed by what is known of any of its labs.
    expect(await draft(await sha(upload(csv.replace('12,9', '11,9'))))).toMatchObject({ isRemembered: true });
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
    ['blanks', '  \n', 'empty'],
    ['no CSV', Buffer.from('\u00d0\u00cf \u0000'), 'not-text'],
    ['one column', 'hello\nworld', 'no-columns'],
    ['an open quote', 'a,b,c\n1,"2,3\n', 'quotes'],
  ])('that is %s is kept, and says with line and column why it cannot be read', async (_, body, code) => {
    const answer = await upload(body);
    expect([answer.status, answer.body]).toMatchObject([201, { fault: { code } }]);
    const { sha256 } = answer.body as { sha256: string };
    const draft = await at.api.post(url(`/${sha256}/draft`)).send({});
    expect(draft.status).toBe(422);
    expect((draft.body as { title: string }).title).toMatch(/Line \d+, column \d+/);
    expect((await at.books.round(at.script.book)).reports).toMatchObject([{ sha256, fault: { code }, read: null }]);
    await at.post(at.script.write(reportPutAside, { sha256, reason: 'not a table at all' }));
    expect((await at.books.round(at.script.book)).reports[0]!.putAside?.reason).toBe('not a table at all');
  });

  it('that is half a PDF is kept, and says that it is damaged, which has no line', async () => {
    const answer = await upload(Buffer.from('%PDF-1.7 \u0000'));
    const { sha256, fault } = answer.body as { sha256: string; fault: { code: string } };
    expect(fault.code).toBe('no-pdf');
    const { title } = (await at.api.post(url(`/${sha256}/draft`)).send({})).body as { title: string };
    expect(title).toBe('This PDF is damaged and cannot be read. Ask the lab for it again, or type the results in.');
  });

  it('of no bytes is refused', async () => {
    expect((await upload('')).status).toBe(422);
  });

  it('is read in the name of whoever is signed in, whatever the request says', async () => {
    const sha256 = await sha(upload(csv));
    const { mapping } = await draft(sha256);
    const by = { author: technician.id, device: newId(1) };
    const theirs = await at.as(coordinator);
    const answer = await theirs.post(url(`/${sha256}/read`)).send({ id: newId(at.script.now), mapping, by });
    expect([answer.status, answer.body]).toMatchObject([201, { author: coordinator.id, device: phone, kind: 'report-read' }]);
    const withoutDevice = await at.as(technician, null);
    expect((await withoutDevice.post(url(`/${sha256}/read`)).send({ id: newId(1), mapping })).status).toBe(409);
  });

  it('that was altered where it is kept is not read', async () => {
    const sha256 = await sha(upload(csv));
    await at.store.write(async (query) => {
      await query('DROP TRIGGER files_never_updated');
      await query('UPDATE files SET bytes = ? WHERE sha256 = ?', [Buffer.from(csv.replace('12,9', '1,29')), sha256]);
    });
    expect((await at.api.post(url(`/${sha256}/draft`)).send({})).status).toBe(410);
  });

  it('is handed out again as it came, to be saved and not shown', async () => {
    const sha256 = await sha(upload(csv));
    const answer = await at.api
      .get(url(`/${sha256}/file`))
      .buffer(true)
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => done(null, Buffer.concat(parts)));
      });
    expect((answer.body as Buffer).toString()).toBe(csv);
    expect(answer.headers).toMatchObject({
      'content-type': 'application/octet-stream',
      'content-disposition': 'attachment; filename=r.csv',
      'content-security-policy': "sandbox; default-src 'none'",
    });
    expect((await at.api.get(url(`/${'e'.repeat(64)}/file`))).status).toBe(404);
  });

  it('that is an Excel workbook is read like a CSV, with the digits that its numbers have', async () => {
    const rows = csv
      .trim()
      .split('\n')
      .map((line) => line.split(';') as (string | number)[]);
    rows[1]![2] = 12.9;
    rows[2]![2] = 0.1 + 0.2;
    const read = await draft(await sha(upload(workbookOf({ Cover: [['Ponta Norte'], ['2026']], Results: rows }))));
    expect(read).toMatchObject({ encoding: 'xlsx', rowCount: 3 });
    expect(read.results.map(({ line, written }) => [line, written.result])).toEqual([
      // With the mark that the texts of the sheet have before their decimals.
      [2, '12,9'],
      [3, '0,3'],
    ]);
  });

  it('that is a workbook is asked about only where a text may be a thousand or a decimal: its numbers have one reading', async () => {
    const sheet = (value: string | number) =>
      workbookOf({
        Results: [
          ['Sample', 'Analyte', 'Result', 'Unit'],
          [nitrogen, 'Nitrate', value, 'mg/L NO3'],
        ],
      });
    expect((await draft(await sha(upload(sheet(1.234))))).results).toMatchObject([{ value: 1.234 }]);
    expect(await draft(await sha(upload(sheet('1.234'))))).toMatchObject({ results: [], questions: [{ code: 'thousand-or-decimal' }] });
  });

  it('of which several sheets hold tables is read once it is said which, each line by its sheet; a ZIP that is no workbook is not', async () => {
    const table = csv
      .trim()
      .split('\n')
      .map((line) => line.split(';'));
    const fault = async (body: Buffer) => ((await upload(body)).body as { fault: { code: string } }).fault.code;
    const older = table.map((cells) => cells.map((cell) => cell.replace('12,9', '99')));
    const sha256 = await sha(upload(workbookOf({ Chemistry: table, 'Rev A1': older })));
    expect(await draft(sha256)).toMatchObject({ refusal: { code: 'several-sheets' }, results: [], sheets: ['Chemistry', 'Rev A1'] });
    const chosen = await draft(sha256, { columns: {}, sheets: ['Chemistry'] });
    expect(chosen).toMatchObject({ refusal: null, mapping: { sheets: ['Chemistry'], columns: { sample: 0 } } });
    const values = ({ results }: typeof chosen) => results.map(({ line, value }) => [line, value]);
    const both = await draft(sha256, { columns: {}, sheets: ['Chemistry', 'Rev A1'] });
    // What two sheets say differently of one thing is asked about, as where two lines do.
    expect(both.questions).toMatchObject([{ code: 'two-results' }]);
    const [line] = values(chosen)[0]!;
    expect(both.unread.map((row) => lineIn(both.parts, row.line))).toContainEqual({ part: 'Rev A1', line });
    expect(await draft(sha256, { columns: {}, sheets: ['Chemistry', 'Metals'] })).toMatchObject({ refusal: { code: 'several-sheets' } });
    expect(await fault(Buffer.from([0x50, 0x4b, 0x03, 0x04, 1, 2, 3]))).toBe('no-workbook');
  });

  it('with a mark, Windows line ends and quoted breaks is read', async () => {
    const text = `\ufeff"Sample";"Analyte";"Result";"Unit";"RL"\r\n"${nitrogen}";"Nitrate\r\nas N";"12,9";"mg/L N";"0,1"\r\n`;
    expect((await draft(await sha(upload(text)))).results).toMatchObject([{ line: 2, parameter: 'nitrate' }]);
  });

  it('of 60,000 rows is read while the server answers others', async () => {
    const rows = Array.from({ length: 60_000 }, (_, index) => `Other-${index};Nitratos;12,9;mg/L N;0,1`).join('\n');
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
    const { rowCount, apartCount, apart, results } = await draft(((await reading).body as { sha256: string }).sha256);
    expect([rowCount, apartCount, apart.length, results.length]).toEqual([60_001, 60_000, 200, 1]);
    // Some seconds, and many on a busy machine.
  }, 90_000);
});

import type { Server } from 'node:http';
import { newId } from '@fonte/core/book';
import type { IntakeRequest } from '@fonte/core/lab';
import { readReport, textTable, type BottleAtLab } from '@fonte/core/read';
import { hour } from '@fonte/core/time';
import { HttpLabDesk } from '@fonte/server';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { consignmentOf, Settlement } from '../../server/src/lab/consignment.ts';
import { reportAfter, startLab, type RunningLab } from './lab.ts';
import contract from './openapi.json' with { type: 'json' };

/** Monday 23 November 2026, 10:00 on the Azores. */
const monday = Date.UTC(2026, 10, 23, 11, 0);
let now = monday;
let lab: RunningLab;
let server: Server;
let desk: HttpLabDesk;

async function open(manners: Parameters<typeof startLab>[2] = {}) {
  lab = await startLab(() => now, 0, manners);
  server = lab.server;
  desk = new HttpLabDesk({ address: lab.address, private: true });
}
beforeEach(async () => {
  now = monday;
  await open();
});
afterEach(() => {
  server.close();
});

type Bottle = IntakeRequest['bottles'][number];
const bottle = (change: Partial<Bottle> = {}): Bottle => ({
  bottle: 'A-MW3-N',
  box: '',
  set: change.bottle ?? 'A-MW3-N',
  point: 'MW3',
  pointName: 'Tannery 3',
  kind: 'NO',
  collectedAt: new Date(monday - hour).toISOString(),
  sampleType: 'routine',
  purpose: 'sample',
  residual: 'not-needed',
  chlorine: null,
  stood: null,
  condition: 'good',
  requests: ['Nutrients'],
  fields: { collectedAt: '09:00' },
  ...change,
});
const form = (bottles: Bottle[], temperature = 4.4): IntakeRequest => ({
  handOver: newId(now),
  book: { id: newId(now), count: 1, hash: 'a'.repeat(64) },
  round: 'A',
  system: 'Marenta',
  collector: 'Inês Faria',
  handedOverAt: new Date(now).toISOString(),
  count: bottles.length,
  said: { quote: 'Q-7' },
  boxes: [{ box: '', name: 'Cooler', temperature, cooling: false, seal: '0431', sealIs: 'whole' }],
  bottles,
});
const germs = (change: Partial<Bottle> = {}) =>
  bottle({ bottle: 'A-MH1-B', point: 'MH1', kind: 'MB', residual: '0.34 mg/L', chlorine: 0.34, ...change });

describe('the simulated intake desk, through the interface that the product uses', () => {
  it('accepts what is good and answers the same form the same way, however often it comes', async () => {
    const request = form([bottle(), germs()]);
    const [first, second] = [await desk.takeIn(request), await desk.takeIn(request)];
    expect(first.bottles).toEqual([
      { bottle: 'A-MW3-N', accepted: true },
      { bottle: 'A-MH1-B', accepted: true },
    ]);
    expect(second).toEqual(first);
  });

  it('refuses with its own reasons, bottle by bottle', async () => {
    const { bottles } = await desk.takeIn(form([bottle({ condition: 'leaking' }), germs({ residual: '' })], 8));
    expect(bottles).toEqual([
      { bottle: 'A-MW3-N', accepted: false, reason: 'Arrived leaking' },
      { bottle: 'A-MH1-B', accepted: false, reason: 'Chlorine not stated' },
    ]);
  });

  it('may decide hours or days later: until then it says nothing of the bottles', async () => {
    server.close();
    await open({ decidesAfter: 50 * hour });
    const request = form([bottle(), germs({ condition: 'leaking' })]);
    const first = await desk.takeIn(request);
    now += 51 * hour;
    const later = await desk.takeIn(request);
    expect([first.bottles, later.bottles.map(({ accepted }) => accepted)]).toEqual([[], [true, false]]);
    // Days later, and judged by what it was when it came.
    expect(later.reference).toBe(first.reference);
  });

  it('may take back what it accepted: a bottle broke on the bench', async () => {
    const request = form([bottle(), germs()]);
    await desk.takeIn(request);
    lab.breaks('A-MH1-B');
    expect((await desk.takeIn(request)).bottles[1]).toEqual({ bottle: 'A-MH1-B', accepted: false, reason: 'Broken on the bench' });
  });

  it('keeps to its published contract, and so does the product', async () => {
    const { Consignment, Settlement: settled } = contract.components.schemas;
    const published = await (await fetch(`${lab.address}/openapi.json`)).json();
    expect(published).toEqual(contract);
    const sent = consignmentOf(form([bottle(), germs({ chlorine: null, stood: 2000 })]));
    z.fromJSONSchema(Consignment as never).parse(sent);
    const answer: unknown = await (
      await fetch(`${lab.address}/consignments/${sent.submission}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(sent),
      })
    ).json();
    z.fromJSONSchema(settled as never).parse(answer);
    expect(Settlement.parse(answer).state).toBe('settled');
  });

  it.each([
    ['no form', undefined],
    ['another number than its address', { ...consignmentOf(form([bottle()])), submission: 'other' }],
    ['a container without a label', { ...consignmentOf(form([bottle()])), containers: [{ kind: 'MB' }] }],
    ['a temperature in words', { ...consignmentOf(form([bottle()])), boxes: [{ celsius: 'cold' }] }],
  ])('says that %s cannot be read', async (_, body) => {
    const answer = await fetch(`${lab.address}/consignments/x`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    expect(answer.status).toBe(400);
  });
});

describe('its report', () => {
  it('comes after its time, and only with what was accepted', async () => {
    const { reference } = await desk.takeIn(form([bottle(), germs({ condition: 'leaking' })]));
    now += reportAfter - 1000;
    expect(await desk.report(reference)).toBeNull();
    now += 2000;
    const report = await desk.report(reference);
    const filledOn = '2026-11-23';
    const read = readReport(
      textTable(report!.bytes),
      new Map<string, BottleAtLab>([
        ['A-MW3-N', { name: 'Nitrate, nitrite', parameters: ['nitrate', 'nitrite'] as const, filledOn }],
        ['A-MH1-B', { name: 'Bacteria', parameters: ['coliforms', 'ecoli'] as const, filledOn }],
      ]),
    );
    expect(read).toMatchObject({
      draft: {
        encoding: 'windows-1252',
        delimiter: ';',
        unreadCount: 0,
        doubts: [],
        results: [
          { bottle: 'A-MW3-N', parameter: 'nitrate', form: 'value' },
          { bottle: 'A-MW3-N', parameter: 'nitrite', form: 'below' },
        ],
        missing: [{ bottle: 'A-MH1-B', parameters: ['coliforms', 'ecoli'] }],
      },
    });
  });

  it('is not there for a form that was refused whole, nor for a made-up reference', async () => {
    const { reference } = await desk.takeIn(form([bottle({ condition: 'leaking' })]));
    now += 2 * reportAfter;
    expect(await desk.report(reference)).toBeNull();
    expect(await desk.report('../intake')).toBeNull();
  });
});

describe('a desk that is not there, or talks nonsense', () => {
  it('is told in plain words, with nothing lost', async () => {
    const away = new HttpLabDesk({ address: 'http://127.0.0.1:9', private: true });
    await expect(away.takeIn(form([bottle()]))).rejects.toMatchObject({ status: 502, code: 'lab-unreachable' });
  });

  it('is not believed', async () => {
    const odd = new HttpLabDesk({ address: `${lab.address}/reports/`, private: true });
    await expect(odd.takeIn(form([bottle()]))).rejects.toMatchObject({ status: 502, code: 'lab-answer' });
  });
});

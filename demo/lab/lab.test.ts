import type { Server } from 'node:http';
import { newId } from '@fonte/core/book';
import type { IntakeRequest } from '@fonte/core/lab';
import { readReport, textTable, type BottleAtLab } from '@fonte/core/read';
import { hour } from '@fonte/core/time';
import { HttpLabDesk } from '@fonte/server';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { reportAfter, startLab } from './lab.ts';

/** Monday 23 November 2026, 10:00 on the Azores. */
const monday = Date.UTC(2026, 10, 23, 11, 0);
let now = monday;
let server: Server;
let desk: HttpLabDesk;

beforeEach(async () => {
  now = monday;
  const lab = await startLab(() => now);
  server = lab.server;
  desk = new HttpLabDesk({ address: lab.address, private: true });
});
afterEach(() => {
  server.close();
});

const bottle = (change: Partial<IntakeRequest['bottles'][number]> = {}): IntakeRequest['bottles'][number] => ({
  bottle: 'A-MW3-N',
  point: 'MW3',
  pointName: 'Tannery 3',
  rule: 'nitrogen',
  collectedAt: new Date(monday - hour).toISOString(),
  sampleType: 'routine',
  purpose: 'sample',
  residual: 'not-needed',
  condition: 'good',
  requests: ['nutrients'],
  ...change,
});
const form = (bottles: IntakeRequest['bottles'], coolerTemperature = 4.4): IntakeRequest => ({
  handOver: newId(now),
  book: { id: newId(now), count: 1, hash: 'a'.repeat(64) },
  round: 'A',
  system: 'Marenta',
  collector: 'Inês Faria',
  handedOverAt: new Date(now).toISOString(),
  coolerTemperature,
  seal: '0431',
  count: bottles.length,
  bottles,
});
const germs = (change: Partial<IntakeRequest['bottles'][number]> = {}) =>
  bottle({ bottle: 'A-MH1-B', point: 'MH1', rule: 'bacteria', residual: '0.34 mg/L', ...change });

describe('the simulated intake desk, through the interface that the product uses', () => {
  it('accepts what is good and answers the same form the same way', async () => {
    const request = form([bottle(), germs()]);
    const [first, second] = [await desk.takeIn(request), await desk.takeIn(request)];
    expect(first.bottles).toEqual([
      { bottle: 'A-MW3-N', accepted: true },
      { bottle: 'A-MH1-B', accepted: true },
    ]);
    expect(second).toEqual(first);
  });

  it.each([
    ['a leak', form([bottle({ condition: 'leaking' })]), 'Leaking on arrival'],
    ['warm chemistry', form([bottle()], 8), 'Cooler at 8 °C; accepted at 1 to 6 °C'],
    ['frozen germs', form([germs()], -0.5), 'Cooler at -0,5 °C; accepted at 1 to 10 °C'],
    ['old germs', form([germs({ collectedAt: new Date(monday - 19 * hour).toISOString() })]), 'More than 18 h since collection'],
    ['a residual that is not stated', form([germs({ residual: '' })]), 'Residual not stated'],
  ])('refuses %s with its reason', async (_, request, reason) => {
    expect((await desk.takeIn(request)).bottles).toEqual([expect.objectContaining({ accepted: false, reason })]);
  });

  it('takes bacteria at 8 °C, where chemistry is refused', async () => {
    const { bottles } = await desk.takeIn(form([bottle(), germs()], 8));
    expect(bottles.map((line) => line.accepted)).toEqual([false, true]);
  });

  it('is closed for bacteria on a Friday', async () => {
    now = monday + 4 * 24 * hour;
    const fresh = { collectedAt: new Date(now - hour).toISOString() };
    const { bottles } = await desk.takeIn(form([bottle(fresh), germs(fresh)]));
    expect(bottles).toEqual([
      { bottle: 'A-MW3-N', accepted: true },
      { bottle: 'A-MH1-B', accepted: false, reason: 'Intake closed' },
    ]);
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
    const odd = new HttpLabDesk({ address: `http://127.0.0.1:${(server.address() as { port: number }).port}/reports/`, private: true });
    await expect(odd.takeIn({ ...form([bottle()]), count: -1 })).rejects.toMatchObject({ status: 502, code: 'lab-answer' });
  });
});

import { describe, expect, it } from 'vitest';
import { protocols } from './index.ts';

/*
 * Minutes and degrees of the protocols, typed in the words of the field. Alcohol is rinsed off for 20 s, bleach for 2 min; a tap is flushed
 * for 2 min, a dead end and PFAS for 5 (Standard Methods 9060 A for bacteria, EPA 533 and 537.1 for PFAS; from memory);
 * Legionella runs 1 min hot and 2 cold; lead stands 30 to 45 min after 5 of flushing. How long water is fresh: common practice.
 */
const minutes: Record<string, string> = {
  flush: '2',
  'flush-dead-end': '5',
  contact: '2',
  disinfect: '2',
  rinse: '2',
  'rinse-off': '0.33',
  'rinse-bleach': '2',
  'run-hot': '1',
  'run-cold': '2',
  'run-full': '3',
  dip: '1',
  soak: '2',
};
const longer: Record<string, string> = {
  'lead-timed flush': '5',
  'lead-timed standing': '30 to 45',
  'pfas-533-tap flush': '5',
  'pfas-537-tap flush': '5',
  'private-near-well run-cold': '3',
  'private-drunk run-cold': '3',
};
const fresh: Record<string, number> = { legionella: 10, lead: 10, coliforms: 60, private: 60, chemistry: 60, trihalomethanes: 30 };
const otherwise: Record<string, number> = { 'legionella-post-flush': 30, 'legionella-flushed': 30, 'lead-timed': 90 };

const inMinutes = (seconds: number) => String(Number((seconds / 60).toFixed(2)));

describe.each(protocols.newest.map((protocol) => [protocol.id, protocol] as const))('the protocol %s', (id, { steps, freshFor }) => {
  it('runs its clocks for the printed minutes', () => {
    const clocks = steps.flatMap(({ id: step, act }) =>
      act.type === 'clock'
        ? [[step, [act.least, act.most].flatMap((one) => (one === undefined ? [] : [inMinutes(one)])).join(' to ')]]
        : [],
    );
    expect(clocks).toEqual(clocks.map(([step]) => [step, longer[`${id} ${step}`] ?? minutes[step!]]));
  });

  it('takes water for fresh as long as is usual, and a temperature for constant within half a degree over three readings', () => {
    const [kind] = id.split('-');
    expect(freshFor! / 60).toBe(otherwise[id] ?? fresh[kind!] ?? 30);
    for (const { act } of steps) if (act.type === 'constant') expect(act).toMatchObject({ unit: 'degC', within: 0.5, count: 3 });
  });
});

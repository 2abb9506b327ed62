import { struck, type Entry } from '@fonte/core/book';
import { bottleFilled } from '@fonte/core/fill';
import { levelLeftOut, levelRead, loggerCompared } from '@fonte/core/level';
import { flowTimed, pumpingLevelRead, pumpSwitched, purgeDecided, purgeEnded, purgeReading, purgeSetUp } from '@fonte/core/purge';
import { loggerRegistered, pointRegistered } from '@fonte/core/registers';
import { pointScouted } from '@fonte/core/scout';
import { coordinator, idOf, phone, Script, technician, wellPoint } from '../../core/test/script.ts';

/** Tapes other than an electric one, a logger, low flow with its pump and flow, and what went wrong. */
export function lowFlow(): Entry[] {
  const script = new Script().plan();
  const m = (text: string) => ({ text, unit: 'm' as const });
  for (const [hold, cut] of [
    ['9', '1.6'],
    ['10', '2.6'],
  ] as const)
    script.atWell(levelRead, {
      measuringPoint: 'North rim',
      depth: m('7.4'),
      water: 'static',
      by: { tool: 'steel', hold: m(hold), cut: m(cut) },
    });
  script.atWell(loggerCompared, { logger: 'LG-07', shows: m('7.44') });
  script.atWell(purgeSetUp, {
    method: 'low-flow',
    tubing: m('16'),
    tubingInside: { text: '6', unit: 'mm' },
    cellHolds: { text: '500', unit: 'mL' },
    mostDrawdown: m('0.10'),
    pump: 'bladder',
    intake: m('14.6'),
    water: 'container',
    criterion: 'two-sets@2026-3',
    parameters: ['ph', 'temperature'],
  });
  script.atWell(pumpSwitched, { pump: 'on' });
  script.atWell(flowTimed, { timings: [{ caught: { text: '400', unit: 'mL' }, took: { text: '60', unit: 's' } }] });
  script.atWell(pumpingLevelRead, { level: m('7.46') });
  const values = { ph: { text: '7.10', unit: 'pH' as const }, temperature: { text: '16,1', unit: 'degC' as const } };
  for (let read = 0; read < 3; read++) script.atWell(purgeReading, { values, level: m('7.47') }, 5);
  script.atWell(purgeDecided, { trouble: 'air', choice: 'no-volatiles', reason: 'bubbles in the cell' });
  script.atWell(purgeEnded, { flowCell: 'detached', filling: { how: 'slowed', rate: { text: '150', unit: 'mL/min' } } });
  script.atWell(bottleFilled, { bottle: '261123A-MW3-N' });
  return script.entries;
}

/** A level that could not be read, and a well that was not purged. */
export function notPurged(): Entry[] {
  const script = new Script().plan();
  script.atWell(levelLeftOut, { why: 'obstructed', reached: { text: '6.2', unit: 'm' }, reason: 'a pump is stuck' });
  script.atWell(purgeSetUp, { method: 'none', reason: 'passive sampler hangs in the screen' });
  script.atWell(bottleFilled, { bottle: '261123A-MW3-N' });
  return script.entries;
}

/** A well whose sample was taken by what hung in its screen. */
export function passiveSampler(): Entry[] {
  const script = new Script().plan();
  script.atWell(purgeSetUp, { method: 'none', sampler: 'passive', reason: 'a bag hung in the screen for three weeks' });
  script.atWell(bottleFilled, { bottle: '261123A-MW3-N' });
  return script.entries;
}

/** A well of which it is known what was drilled through. */
export function wellWithLayers(): Entry[] {
  const layers = [
    { to: 6.5, of: 'silty clay', water: 'holds-back' as const },
    { to: 18, of: 'sand and gravel', water: 'gives' as const },
  ];
  const entry = new Script().write(pointRegistered, { ...wellPoint, well: { ...wellPoint.well, layers } });
  return [{ ...entry, book: wellPoint.id, author: coordinator.id, device: phone }];
}

/** The record of a logger, and how it is read from a later day on. */
export function loggerRecord(): Entry[] {
  const script = new Script();
  const id = idOf(60);
  const file = {
    date: 0,
    time: 1,
    order: 'dmy' as const,
    clock: { goes: 'wall' as const, zone: 'Europe/Lisbon' },
    ahead: 45,
    value: 2,
    decimals: 'comma' as const,
  };
  const record = {
    id,
    name: 'LG-07',
    point: wellPoint.id,
    mark: 'North rim',
    shows: 'absolute' as const,
    water: { ...file, sha256: 'a'.repeat(64), name: 'water.csv', unit: 'kPa' as const },
    air: { ...file, sha256: 'b'.repeat(64), name: 'air.csv', unit: 'hPa' as const, clock: { goes: 'fixed' as const, offset: 0 } },
    density: 999.7,
    line: 'constant' as const,
  };
  const entry = (change: object) => ({
    ...script.write(loggerRegistered, { ...record, ...change }),
    book: id,
    author: technician.id,
    device: phone,
  });
  const from = '2026-03-01T00:00:00.000Z';
  return [entry({}), entry({ line: 'line', from, without: [{ at: Date.UTC(2026, 4, 1), why: 'misread by 10 cm' }], hangs: 12.4 })];
}

export function registeredPoint(): Entry[] {
  const script = new Script();
  const entry = (change: object) => ({
    ...script.write(pointRegistered, { ...wellPoint, ...change }),
    book: wellPoint.id,
    author: coordinator.id,
    device: phone,
  });
  return [entry({}), entry({ name: 'Tannery 3, new casing', access: 'Key at the gatehouse' })];
}

/** A point that was looked at without a round: twice, and once at the wrong one. */
export function scoutedPoint(): Entry[] {
  const script = new Script();
  const inItsBook = (entry: Entry) => ({ ...entry, book: wellPoint.id, device: phone });
  const seen = { pictures: [], outlet: '', found: [], note: '' };
  const picture = { sha256: 'c'.repeat(64), type: 'image/jpeg' as const, size: 90_000, shows: 'cap from above' };
  const arrow = { tail: { x: 0.2, y: 0.8 }, tip: { x: 0.5, y: 0.4 } };
  const wrong = script.write(pointScouted, { ...seen, note: 'gate locked' });
  return [
    inItsBook({ ...script.write(pointRegistered, wellPoint), author: coordinator.id }),
    inItsBook(wrong),
    inItsBook(script.write(pointScouted, { ...seen, found: ['well-cap'], pictures: [{ ...picture, arrow }] })),
    inItsBook(script.write(struck, { entry: wrong.id, kind: pointScouted.kind, reason: 'wrong well' })),
  ];
}

import { chained, type BookEntry, type Entry } from '@fonte/core/book';
import { actionDone } from '@fonte/core/act';
import { handedOver, labAnswered } from '@fonte/core/custody';
import { bottleDiscarded, bottleFilled } from '@fonte/core/fill';
import { levelRead } from '@fonte/core/level';
import { analysisAdded, analysisRemoved, bottlesPacked } from '@fonte/core/plan';
import { purgeEnded, purgeReading, purgeSetUp } from '@fonte/core/purge';
import { reportPutAside, reportRead, reportReceived, type LabResult } from '@fonte/core/read';
import { clockStarted, runGivenUp, runStarted, stepSkipped, type StepAnswer } from '@fonte/core/tap';
import { fold } from '@fonte/core/round';
import { minute } from '@fonte/core/time';
import { handing, idOf, Script, tapPoint } from '../../core/test/script.ts';
import { sha256 } from '../src/book/codec.ts';
import { custodyShapes } from './shapes-custody.ts';
import { fieldShapes } from './shapes-field.ts';
import { loggerRecord, lowFlow, notPurged, passiveSampler, registeredPoint, scoutedPoint, wellWithLayers } from './shapes-well.ts';

/*
 * Books as they were written by this copy of the product, one of each shape that a book can have. They are kept as files;
 * a kind or table that changes later must still read them to the same rows.
 */

const procedure = 'coliforms-distribution';
const level = (text: string, unit: 'm' | 'ft' = 'm') => ({ measuringPoint: 'North rim', depth: { text, unit }, water: 'static' as const });
const set = (pumped: string, ph = '7.10') => ({
  pumped: { text: pumped, unit: 'L' as const },
  values: { ph: { text: ph, unit: 'pH' as const }, temperature: { text: '16,1', unit: 'degC' as const } },
});
const setUp = {
  method: 'volumes' as const,
  insideDiameter: { text: '52', unit: 'mm' as const },
  volumes: 3,
  criterion: 'two-sets@2026-1',
  parameters: ['ph' as const, 'temperature' as const],
};
const result = (bottle: string, more: Partial<LabResult> = {}): LabResult => ({
  line: 2,
  bottle,
  parameter: 'coliforms',
  form: 'value',
  value: 4,
  estimated: false,
  reportingLimit: null,
  written: { result: '4', unit: 'CFU/100 mL', reportingLimit: '' },
  ...more,
});
const form = (script: Script, bottles: string[]) => script.write(handedOver, handing(bottles, { seal: 'M-118', takenBy: 'Intake desk' }));
const report = (script: Script, sha: string, results: LabResult[]) => {
  script.write(reportReceived, { sha256: sha.repeat(64), name: 'report.csv', size: 900, from: 'lab', fault: null }, { minutes: 1440 });
  return script.write(reportRead, {
    sha256: sha.repeat(64),
    mapping: { columns: { sample: 0, parameter: 1, result: 2 } },
    header: [],
    unread: 1,
    results,
  });
};

function purged(script: Script): void {
  script.atWell(levelRead, level('7.40'));
  script.atWell(levelRead, level('24.29', 'ft'));
  script.atWell(levelRead, level('7.404'));
  script.atWell(purgeSetUp, setUp);
  for (const pumped of ['40', '60', '75']) script.atWell(purgeReading, set(pumped));
}

function wholeRound(): Entry[] {
  const script = new Script().plan();
  script.write(bottlesPacked, { bottles: ['261123A-MW3-N', '261123A-MH1-B'] });
  script.atWell(analysisRemoved, { analysis: 'metals' });
  purged(script);
  script.atWell(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } });
  script.atWell(bottleFilled, { bottle: '261123A-MW3-G' });
  script.atWell(bottleDiscarded, { bottle: '261123A-MW3-N', reason: 'overfilled', note: 'past the neck' });
  script.atWell(bottleFilled, { bottle: '261123A-MW3-N2' });
  script.sampleTap();
  const handOver = form(script, ['261123A-MW3-G', '261123A-MW3-N2', '261123A-MH1-B']);
  script.write(labAnswered, {
    handOver: handOver.id,
    reference: 'MT-1',
    bottles: [
      { bottle: '261123A-MW3-G', accepted: false, reason: 'Leaking' },
      { bottle: '261123A-MW3-N2', accepted: true },
      { bottle: '261123A-MH1-B', accepted: true },
    ],
  });
  report(script, 'a', [
    result('261123A-MH1-B'),
    result('261123A-MH1-B', {
      parameter: 'ecoli',
      form: 'below',
      value: 1,
      written: { result: '<1', unit: 'CFU/100 mL', reportingLimit: '' },
    }),
    result('261123A-MW3-N2', { parameter: 'nitrate', value: 57.1, written: { result: '12,9', unit: 'mg/L N', reportingLimit: '0,10' } }),
  ]);
  script.write(actionDone, { action: fold(script.entries)!.followUps[0]!.id, note: 'called, 14:20' });
  return script.entries;
}

function corrected(): Entry[] {
  const script = new Script().plan();
  purged(script);
  const [, first, , third, , reading] = script.entries;
  script.correct(first!, 'another well');
  script.correct(third!, 'misread the millimetres', { payload: level('7.406') });
  const strike = script.correct(reading!, 'belongs to Tannery 2');
  script.correct(strike, 'no, it is ours');
  script.correct(script.entries[6]!, 'watch was slow', { at: Date.parse(script.entries[6]!.at.utc) + 20_000 });
  const [a, b] = [script.strike(script.entries[7]!, 'one'), script.strike(script.entries[7]!, 'two')];
  const circle = (entry: Entry, target: Entry) => ({
    ...entry,
    payload: { entry: target.id, kind: 'struck', reason: 'the other way round' },
  });
  return [...script.entries, circle(a, b), circle(b, a)];
}

function setAside(): Entry[] {
  const script = new Script().plan();
  purged(script);
  script.atWell(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } });
  const late = script.make(purgeReading, set('80'), script.well);
  script.now += 10 * minute;
  script.atWell(bottleFilled, { bottle: '261123A-MW3-G' });
  script.atWell(bottleFilled, { bottle: '261123A-MW3-Q' });
  script.atTap(levelRead, level('7.40'));
  script.atWell(analysisAdded, { analysis: 'metals' });
  return [...script.entries, { ...late, device: idOf(8) }];
}

/** A step left out, a clock cut short and a residual too low: a special sample, with a clock that runs. */
function departures(): Entry[] {
  const script = new Script().plan();
  const done = (step: string, answer: StepAnswer, departure?: string) => script.done(step, answer, departure);
  script.start();
  done('fitness', { type: 'checks', yes: ['outlet-down', 'no-treatment', 'in-use'], no: [] });
  script.atTap(stepSkipped, { procedure, step: 'strip', departure: 'aerator is welded on' });
  done('hands', { type: 'confirm' });
  script.atTap(clockStarted, { procedure, step: 'flush' });
  done('flush', { type: 'clock' }, 'water was cut off');
  done('temperature', { type: 'measure', reading: { text: '17,4', unit: 'degC' } });
  done('residual', { type: 'measure', reading: { text: '0.05', unit: 'mg/L' } });
  done('disinfect', { type: 'choose', option: 'bleach' });
  script.atTap(clockStarted, { procedure, step: 'contact' });
  return script.entries;
}

/** Two protocols at one tap, the first given up after its clock began anew; two sets of limits; the tap visited again. */
function twoProtocols(): Entry[] {
  const again = { id: idOf(77), point: tapPoint, analyses: ['coliforms' as const] };
  const first = fold(new Script().plan().entries)!.plan;
  const script = new Script().plan(['lead', 'coliforms'], {
    editions: { ...first.editions, limits: ['us-40-cfr@2026-1', 'eu-2020-2184@2026-1'] },
  });
  (script.entries[0]!.payload as { visits: object[] }).visits.push(again);
  script.sampleTap({ procedure: 'lead-timed', before: 'standing' });
  script.atTap(clockStarted, { procedure: 'lead-timed', step: 'standing' });
  script.atTap(clockStarted, { procedure: 'lead-timed', step: 'standing', reason: 'a toilet was flushed' }, 12);
  script.atTap(runGivenUp, { procedure: 'lead-timed', reason: 'the house could not wait' });
  script.sampleTap();
  return script.entries;
}

function fromTheFuture(): Entry[] {
  const script = new Script().plan();
  script.atTap(runStarted, { procedure, protocol: procedure, edition: '2031-1' });
  script.done('sing', { type: 'confirm' });
  script.atWell(levelRead, level('7.40'));
  const newer = { ...script.make(levelRead, level('7.40'), script.well), version: 900, payload: { millimetres: 7400 } };
  return [...script.entries, newer];
}

function severalReports(): Entry[] {
  const script = new Script().plan().sampleTap();
  const handOver = form(script, ['261123A-MH1-B']);
  script.write(labAnswered, { handOver: handOver.id, reference: 'MT-2', bottles: [{ bottle: '261123A-MH1-B', accepted: true }] });
  const first = report(script, 'a', [result('261123A-MH1-B', { value: 0 })]);
  script.correct(first, 'read with the wrong columns');
  script.write(reportPutAside, { sha256: 'a'.repeat(64), reason: 'withdrawn by the lab' });
  script.write(reportReceived, {
    sha256: 'c'.repeat(64),
    name: 'scan.pdf',
    size: 9,
    from: 'upload',
    fault: { code: 'not-text', line: 1, column: 1 },
  });
  report(script, 'b', [result('261123A-MH1-B', { form: 'present', value: null })]);
  return script.entries;
}

function longPurge(): Entry[] {
  const script = new Script().plan();
  purged(script);
  for (let number = 0; number < 60; number += 1)
    script.atWell(purgeReading, set(String(80 + number * 2), (7.1 + (number % 7) / 100).toFixed(2)), 5);
  return script.entries;
}

/** Entries by the name of their shape, in the order in which they arrive. */
export const shapes: Record<string, () => Entry[]> = {
  'whole-round': wholeRound,
  'late-to-early': () =>
    wholeRound()
      .reverse()
      .sort((a) => (a.kind === 'round-planned' ? -1 : 0)),
  corrected,
  'set-aside': setAside,
  departures,
  'two-protocols': twoProtocols,
  'from-the-future': fromTheFuture,
  'several-reports': severalReports,
  'long-purge': longPurge,
  'registered-point': registeredPoint,
  'scouted-point': scoutedPoint,
  'ways-of-a-procedure': () =>
    new Script()
      .plan(['legionella', 'trihalomethanes'])
      .sampleTap({ procedure: 'legionella-pre-flush', bottle: '261123A-MH1-LG' })
      .sampleTap({ procedure: 'trihalomethanes-tap', before: 'fill' }).entries,
  ...fieldShapes,
  ...custodyShapes,
  'well-with-layers': wellWithLayers,
  'logger-record': loggerRecord,
  'low-flow': lowFlow,
  'not-purged': notPurged,
  'passive-sampler': passiveSampler,
};

/** A book as it would stand: numbered, chained, sent at once. */
export function asBook(entries: readonly Entry[]): BookEntry[] {
  const made: BookEntry[] = [];
  for (const entry of entries) {
    const last = made.at(-1);
    const stamp = { sentAt: entry.at.utc, receivedAt: entry.at.utc };
    made.push(chained(entry, last ? { count: last.seq, hash: last.hash } : null, stamp, sha256));
  }
  return made;
}

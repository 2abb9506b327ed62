import type { Entry } from '@fonte/core/book';
import { bottleFilled } from '@fonte/core/fill';
import { levelLeftOut, levelRead, loggerCompared } from '@fonte/core/level';
import { flowTimed, pumpingLevelRead, pumpSwitched, purgeDecided, purgeEnded, purgeReading, purgeSetUp } from '@fonte/core/purge';
import { Script } from '../../core/test/script.ts';

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

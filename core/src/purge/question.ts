import type { Data, Finding } from '../findings/index.ts';
import type { AgreedLevel } from '../level/index.ts';
import { inOwnUnit, parameter, questionReading, type ParameterId } from '../parameters/index.ts';
import { second } from '../time/index.ts';
import { base, readNumber } from '../units/index.ts';
import type { WellPoint } from '../registers/index.ts';
import { questionBuilt } from './built.ts';
import type { ProbeParameter, PurgeChoice, purgeReading } from './entries.ts';
import type { PurgeState } from './purge.ts';
import type { z } from 'zod';

type Payload = z.infer<typeof purgeReading.payload>;

/** A diameter may differ by such a part from the register's: more, and one of them is wrong. Common practice. */
const sameBore = 0.05;

/** What is odd about how a purge is set up: a bore too wide, too narrow, or another than the pipe's or the register's. */
export function questionSetUp(chosen: PurgeChoice, { well }: WellPoint): Finding[] {
  if (chosen.method !== 'volumes') return [];
  const inside = base(chosen.insideDiameter);
  const known = well.insideDiameter;
  const isOther = known !== undefined && Math.abs(inside - known) > sameBore * known;
  const other: Finding[] = isOther ? [{ code: 'other-bore', severity: 'question', field: 'insideDiameter', data: { inside, known } }] : [];
  return [...questionBuilt({ insideDiameter: inside, pipe: chosen.pipe ?? '' }), ...other];
}

/** A number so many times the one before, or such a part of it, may have slipped its decimal mark or its unit. Common practice. */
const slip = 8;
/** A level while pumping may stand so much above the one at rest, in m, by the reading alone. */
const reading = 0.01;

/** What is odd about a set of readings before it is written: slips against the set before and against the level at rest. `now` in ms. */
export function questionSet({ pumped, values, level }: Payload, purge: PurgeState, atRest: AgreedLevel | null, now: number): Finding[] {
  const findings: Finding[] = [];
  const ask = (code: string, field: string, data: Data = {}) => findings.push({ code, severity: 'question', field, data });
  const last = purge.sets.at(-1);
  if (last && base(pumped) < last.pumped) ask('total-fell', 'pumped');
  const apart = purge.setUp?.rule?.apart;
  if (last && apart !== undefined && now - last.at < apart * second)
    ask('sets-close', 'pumped', { apart, after: (now - last.at) / second });
  if (level && atRest && base(level) < atRest.depth - reading) ask('level-rose', 'level', { by: atRest.depth - base(level) });
  for (const [id, typed] of Object.entries(values) as [ProbeParameter, NonNullable<Payload['values'][ProbeParameter]>][]) {
    if (!readNumber(typed.text).ok) continue;
    findings.push(...questionReading(id, typed).filter(({ severity }) => severity === 'question'));
    const before = last?.values[id];
    if (!before || !isRatio(id)) continue;
    const [was, is] = [inOwnUnit(id, before), inOwnUnit(id, typed)];
    if (was > 0 && is > 0 && (is / was >= slip || was / is >= slip)) ask('far-from-last', `values.${id}`, { parameter: id, was, is });
  }
  return findings;
}

/** Whether twice the number is twice as much: not so of temperature, pH and redox. */
const isRatio = (id: ParameterId) => !['degC', 'pH', 'mV'].includes(parameter(id).unit);

import { base, convert, readNumber, type UnitId } from '../units/index.ts';
import { second } from '../time/index.ts';
import { lastReading } from './answers.ts';
import type { Protocol, Step } from './protocol.ts';
import type { RunState } from './run.ts';

/** Steps at which water stands: a clock that begins anew when somebody uses water, or a question since when nobody did. */
const isStanding = ({ act }: Step): boolean => (act.type === 'clock' && act.restart !== undefined) || act.type === 'since';

/** Whether a protocol takes water that stood in the pipes. */
export const wantsStandingWater = ({ steps }: Protocol): boolean => steps.some(isStanding);

/** How long the water had stood, in s, at a moment (ms); null where its clock was not started and nobody said it. */
export function stoodFor({ steps }: RunState, at: number): number | null {
  const standing = steps.find(({ step }) => isStanding(step));
  if (!standing) return null;
  if (standing.answer?.type === 'since') return base(standing.answer.lasted);
  return standing.clockFrom === null || standing.clockFrom > at ? null : (at - standing.clockFrom) / second;
}

/** What was measured last at a step, in a unit; null when it was not, or is no number. */
export function measuredValue(run: RunState, parameter: string, unit: UnitId): number | null {
  const found = run.steps.find(({ step: { act } }) => (act.type === 'measure' || act.type === 'constant') && act.parameter === parameter);
  const reading = lastReading(found?.answer);
  const number = reading ? readNumber(reading.text) : null;
  return reading && number?.ok ? convert(number.value, reading.unit, unit) : null;
}

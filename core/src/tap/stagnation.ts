import type { AnalysisId } from '../bottles/index.ts';
import { base, convert, readNumber, type UnitId } from '../units/index.ts';
import { second } from '../time/index.ts';
import { lastReading } from './answers.ts';
import type { Protocol, Step } from './protocol.ts';
import type { RunState } from './run.ts';

/** Analyses whose sample is defined by how long its water stood. What else is asked about the past (disinfected, unused) is not that. */
const standing: readonly AnalysisId[] = ['lead', 'leadFifth'];

/** Steps at which water stands: a clock that begins again when somebody uses water, or a question since when nobody did. */
const isStanding = ({ act }: Step): boolean => (act.type === 'clock' && act.restart !== undefined) || act.type === 'since';

/** Whether a protocol takes water that stood in the pipes for a time that its lab asks about. */
export const wantsStandingWater = ({ analysis, steps }: Protocol): boolean => standing.includes(analysis) && steps.some(isStanding);

/** How long the water had stood, in s, at a moment (ms); null where its clock was not started and nobody said it, or where it is not asked. */
export function stoodFor({ protocol, steps }: RunState, at: number): number | null {
  if (!wantsStandingWater(protocol)) return null;
  const found = steps.find(({ step }) => isStanding(step));
  if (!found) return null;
  if (found.answer?.type === 'since') return base(found.answer.lasted);
  return found.clockFrom === null || found.clockFrom > at ? null : (at - found.clockFrom) / second;
}

/** What was measured last at a step, in a unit; null when it was not, or is no number. */
export function measuredValue(run: RunState, parameter: string, unit: UnitId): number | null {
  const found = run.steps.find(({ step: { act } }) => (act.type === 'measure' || act.type === 'constant') && act.parameter === parameter);
  const reading = lastReading(found?.answer);
  const number = reading ? readNumber(reading.text) : null;
  return reading && number?.ok ? convert(number.value, reading.unit, unit) : null;
}

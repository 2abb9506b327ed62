import { misfit, type Misfit } from '../book/index.ts';
import { questionReading } from '../parameters/index.ts';
import type { Point } from '../registers/index.ts';
import { convert, readNumber } from '../units/index.ts';
import { second } from '../time/index.ts';
import type { StepAnswer } from './entries.ts';
import type { MeasureStop, Step, Stop } from './protocol.ts';
import type { RunStep } from './run-step.ts';

const residualMinimumAt = (point: Point) => (point.type === 'tap' ? (point.tap.residualMinimum ?? undefined) : undefined);

function stopLimit(stop: MeasureStop, point: Point): { below?: number; above?: number } {
  const below = stop.below === 'residual-minimum' ? residualMinimumAt(point) : stop.below;
  return { ...(below === undefined ? {} : { below }), ...(stop.above === undefined ? {} : { above: stop.above }) };
}

/** The stops that an answer to a step brings, before it is written down as well as after. */
export function stopsOf(step: Step, answer: StepAnswer, point: Point): Stop[] {
  const { act } = step;
  if (act.type === 'checks' && answer.type === 'checks') {
    return act.items.flatMap((item) => (item.stop && answer.no.includes(item.id) ? [item.stop] : []));
  }
  if (act.type === 'measure' && answer.type === 'measure') {
    const reading = readNumber(answer.reading.text);
    if (!reading.ok) return [];
    const value = convert(reading.value, answer.reading.unit, act.unit);
    return act.stops.filter((stop) => {
      const { below, above } = stopLimit(stop, point);
      return (below !== undefined && value < below) || (above !== undefined && value > above);
    });
  }
  return [];
}

/** Whether some answer to a step would be a stop at this point: without the answer nobody knows what the sample is. */
export function decidesSample({ act }: Step, point: Point): boolean {
  if (act.type === 'checks') return act.items.some((item) => item.stop);
  return act.type === 'measure' && act.stops.some((stop) => Object.keys(stopLimit(stop, point)).length > 0);
}

/**
 * Why an answer cannot be taken for a step, or null. A short clock or a check answered no is no misfit here: it is a
 * departure and needs a reason, see {@link departs}.
 */
export function misfitAnswer(step: Step, answer: StepAnswer): Misfit | null {
  const { act } = step;
  if (act.type !== answer.type) return misfit('other-answer', 'payload.answer.type', { type: act.type });
  if (act.type === 'choose' && answer.type === 'choose' && !act.options.some((option) => option.id === answer.option)) {
    return misfit('no-such-option', 'payload.answer.option');
  }
  if (act.type === 'checks' && answer.type === 'checks') {
    const given = [...answer.yes, ...answer.no];
    const strange = given.find((id, index) => !act.items.some((item) => item.id === id) || given.indexOf(id) !== index);
    if (strange !== undefined) return misfit('no-such-item', 'payload.answer');
    const open = act.items.find((item) => !given.includes(item.id));
    if (open) return misfit('unanswered', `payload.answer.${open.id}`, { label: open.label });
  }
  if (act.type === 'measure' && answer.type === 'measure') {
    const stop = questionReading(act.parameter, answer.reading).find((finding) => finding.severity === 'stop');
    if (stop) return misfit('cannot-be', 'payload.answer.reading.text', { ...stop.data, finding: stop.code });
  }
  return null;
}

/**
 * Why an answer departs from the protocol and so needs a reason, or null. A departure is not refused: it is written down
 * with its reason. `now` in ms.
 */
export function departs(run: RunStep, answer: StepAnswer, now: number): Misfit | null {
  const { act } = run.step;
  const departure = (code: string, data: Misfit['data']) => misfit(code, 'payload.departure', data);
  if (act.type === 'clock') {
    const ran = run.clockFrom === null ? 0 : Math.max(0, (now - run.clockFrom) / second);
    if (run.clockBackdated > 0) return departure('clock-backdated', { by: run.clockBackdated });
    if (act.most !== undefined && ran > act.most) return departure('clock-over', { most: act.most, ran });
    if (ran < act.least) return departure('clock-short', { least: act.least, ran });
  }
  if (act.type === 'checks' && answer.type === 'checks' && answer.no.length > 0) {
    const missed = act.items.filter((item) => answer.no.includes(item.id)).map((item) => item.label);
    return departure('answered-no', { items: missed.join('; ') });
  }
  return null;
}

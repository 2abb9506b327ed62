import { isDisinfected, originOf, type Point } from '../registers/index.ts';
import type { StepAnswer } from './entries.ts';
import type { Protocol, Step, Where } from './protocol.ts';

/** Whether something is for a point. */
export function isFor({ kinds, notKinds, disinfected, origins, by, trait, sources }: Where, point: Point): boolean {
  return (
    (kinds?.includes(point.kind) ?? true) &&
    !notKinds?.includes(point.kind) &&
    (disinfected === undefined || disinfected === isDisinfected(point)) &&
    (origins?.includes(originOf(point)) ?? true) &&
    (by === undefined || (point.disinfection === by.kind) !== (by.not ?? false)) &&
    (sources?.includes(point.source ?? 'unsaid') ?? true) &&
    (trait === undefined || (point.traits ?? []).includes(trait.id) !== (trait.not ?? false))
  );
}

/** A step as it is asked at a point: its words where the water is not disinfected, its choices where they may be made. */
function stepAt(step: Step, point: Point): Step {
  const isRaw = point.type === 'tap' && !isDisinfected(point);
  const said = isRaw && step.undisinfected ? { ...step, ...step.undisinfected } : step;
  if (said.act.type !== 'choose') return said;
  return { ...said, act: { ...said.act, options: said.act.options.filter(({ where }) => !where || isFor(where, point)) } };
}

/** The steps that a protocol may ask for at a point, whatever is answered. */
export const stepsFor = ({ steps }: Protocol, point: Point): Step[] => steps.filter(({ where }) => !where || isFor(where, point));

function isAsked(step: Step, answers: ReadonlyMap<string, StepAnswer>): boolean {
  if (!step.when) return true;
  const answer = answers.get(step.when.step);
  return answer?.type === 'choose' && step.when.chosen.includes(answer.option);
}

/** The steps of a protocol as they are asked at a point after some answers, by step. */
export const stepsAt = (protocol: Protocol, point: Point, answers: ReadonlyMap<string, StepAnswer>): Step[] =>
  stepsFor(protocol, point)
    .filter((step) => isAsked(step, answers))
    .map((step) => stepAt(step, point));

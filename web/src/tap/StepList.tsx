import type { VisitState } from '@fonte/core/round';
import { runThatFills, stepDone, stepSkipped, type RunState, type RunStep } from '@fonte/core/tap';
import { showTyped } from '@fonte/core/units';
import { showDate, wallTime } from '@fonte/core/time';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { Field } from '../form/Field.tsx';
import { TypedInput } from '../units/TypedField.tsx';
import { Reopen } from './Reopen.tsx';
import { Mark, type MarkKind } from '../theme/Mark.tsx';

const marks: Record<RunStep['state'], MarkKind> = { done: 'good', skipped: 'question', now: 'live', later: 'note' };
const words: Record<RunStep['state'], string> = { done: 'done', skipped: 'left out', now: 'now', later: 'later' };

function answered(run: RunStep): string {
  if (run.answer?.type === 'measure') return showTyped(run.answer.reading);
  if (run.answer?.type === 'constant') return run.answer.readings.map(showTyped).join(', ');
  if (run.answer?.type === 'since') return showTyped(run.answer.lasted);
  if (run.answer?.type === 'times') return `${run.answer.times} times`;
  if (run.answer?.type === 'choose' && run.step.act.type === 'choose') {
    const { option } = run.answer;
    return run.step.act.options.find((one) => one.id === option)?.label ?? option;
  }
  return '';
}

/** All steps of the run: what was done and when, what is now, what comes. The run can go back to a step while nothing is filled. */
export function StepList({ visit, run }: { visit: VisitState; run: RunState }) {
  const { round } = useRound();
  const mayGoBack =
    run.givenUp === null && !visit.bottles.some((one) => one.filledAt !== null && runThatFills(visit, one)?.procedure === run.procedure);
  const started = wallTime(run.startedAt, round.plan.zone).date;
  /** With its day where it is another than the run's: what is stale is seen to be. */
  const seconds = (at: number) => {
    const { date, time } = wallTime(at, round.plan.zone);
    return `${date === started ? '' : `${showDate(date)}, `}${time}:${String(new Date(at).getUTCSeconds()).padStart(2, '0')}`;
  };
  return (
    <ol className="step-list plain">
      {run.steps.map((one) => (
        <li key={one.step.id} className={one.state} aria-current={one.state === 'now' ? 'step' : undefined}>
          <Mark kind={one.stops.length > 0 ? 'question' : marks[one.state]} size={15} />
          <span>
            {one.step.say} <span className="hidden">({words[one.state]})</span> <span className="strong">{answered(one)}</span>
          </span>
          <span className="small soft">{one.doneAt === null ? '' : seconds(one.doneAt)}</span>
          <span className="step-acts">
            {one.doneAt !== null && mayGoBack && <Reopen visit={visit} procedure={run.procedure} step={one.step} open="Go back" />}
            {one.entry &&
              (one.state === 'skipped' ? (
                <Correct entry={one.entry} kind={stepSkipped} what={one.step.say} />
              ) : (
                <CorrectStep procedure={run.procedure} one={one} />
              ))}
          </span>
        </li>
      ))}
    </ol>
  );
}

/** A step that was done: its time can be put right, and a reading that was measured. */
function CorrectStep({ procedure, one }: { procedure: string; one: RunStep }) {
  const { answer } = one;
  const [name, unit] =
    answer?.type === 'measure'
      ? ['reading', answer.reading.unit]
      : answer?.type === 'since'
        ? ['lasted', answer.lasted.unit]
        : [null, null];
  return (
    <Correct
      entry={one.entry!}
      kind={stepDone}
      what={one.step.say}
      stands={{ procedure, step: one.step.id, answer: one.answer!, ...(one.departure ? { departure: one.departure } : {}) }}
    >
      {() =>
        name && (
          <Field name={['instead', 'answer', name]} label="Should read">
            <TypedInput units={[unit]} label="Should read" />
          </Field>
        )
      }
    </Correct>
  );
}

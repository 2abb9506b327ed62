import type { AnalysisId } from '../bottles/index.ts';
import { backdatedBy, misfit, postdatedBy, type Entry, type Misfit, type Room } from '../book/index.ts';
import type { Point } from '../registers/index.ts';
import { millis } from '../time/index.ts';
import type { RunningClock } from './clock.ts';
import { askRun, runningClocks, type DueRun } from './due.ts';
import { departs, misfitAnswer, misfitBlank, type BottleSeen } from './answers.ts';
import { clockStarted, runGivenUp, runStarted, stepDone, stepReopened, stepSkipped } from './entries.ts';
import {
  asBefore,
  fillsAt,
  findProtocol,
  isOver,
  mayRunAt,
  procedureOf,
  proceduresFor,
  readableFrom,
  runState,
  takenBy,
  titleOf,
  type RunBook,
  type RunState,
} from './run.ts';
import type { RunStep } from './run-step.ts';

/** What a book says of the runs of one visit, by procedure, in the order in which they were started. */
export type RunsBook = ReadonlyMap<string, RunBook>;

export interface RunAround {
  /** Of the round, `YYYY-MM-DD`. */
  date: string;
  point: Point;
  /** What is asked of the visit. */
  analyses: readonly AnalysisId[];
  /** Whether a bottle that the protocol fills is still empty. */
  isToFill: (analysis: AnalysisId) => boolean;
  /** Whether a bottle that the protocol fills was filled. */
  isFilled: (analysis: AnalysisId) => boolean;
  /** All bottles of the round, as they are at that time. */
  ofRound: () => readonly BottleSeen[];
  /** When a field test of the visit was read (ms); null where there is none such. */
  testReadAt: (test: string) => number | null;
}

function clockFits(now: RunStep, { reason }: { reason?: string | undefined }): Misfit | null {
  if (now.step.act.type !== 'clock') return misfit('no-clock', 'payload.step');
  if (now.clockFrom === null || reason) return null;
  return misfit('clock-runs', 'payload.reason');
}

/** Whether a run may go back to a step: to one that was closed, and while nothing was filled by it. */
function reopenFits(run: RunState, step: string, around: RunAround): Misfit | null {
  if (takenBy(run.protocol).some((analysis) => around.isFilled(analysis))) return misfit('filled', 'payload.step');
  if (run.givenUp !== null) return misfit('run-over', 'payload.procedure');
  return run.steps.some((one) => one.step.id === step && one.doneAt !== null) ? null : misfit('not-closed', 'payload.step');
}

/** A run without what was given from a step on: its clocks as well. */
function reopened(book: RunBook, { step, reason }: { step: string; reason: string }, point: Point): Partial<RunBook> {
  const all = runState(book, point)?.steps.map((one) => one.step.id) ?? [];
  const again = new Set(all.slice(all.indexOf(step)));
  const kept = <V>(of: ReadonlyMap<string, V>) => new Map([...of].filter(([id]) => !again.has(id)));
  return { given: kept(book.given), clocks: kept(book.clocks), reopened: [...(book.reopened ?? []), { step, reason }] };
}

function stepFits(book: RunBook, entry: Entry, around: RunAround): Misfit | null {
  const run = runState(book, around.point);
  // Its steps cannot be judged; they are kept as they are.
  if (!run) return null;
  if (stepReopened.is(entry)) return reopenFits(run, entry.payload.step, around);
  if (isOver(run)) return misfit('run-over', 'payload.procedure');
  if (runGivenUp.is(entry)) return null;
  const { step } = entry.payload as { step: string };
  const now = run.now!;
  if (now.step.id !== step) return misfit('other-step', 'payload.step', { say: now.step.say });
  if (clockStarted.is(entry)) return clockFits(now, entry.payload);
  if (stepSkipped.is(entry) && now.step.isNeeded) return misfit('needed', 'payload.step');
  if (!stepDone.is(entry)) return null;
  const refused = misfitAnswer(now.step, entry.payload.answer) ?? misfitBlank(now.step, entry.payload.answer, () => around.ofRound());
  if (refused) return refused;
  const { test } = entry.payload;
  const readAt = test === undefined ? null : around.testReadAt(test);
  if (readAt !== null && readAt < readableFrom(run)) return misfit('read-before', 'payload.answer.reading');
  if (fillsAt(run.protocol, now.step).some((analysis) => around.isToFill(analysis))) return misfit('fill-first', 'payload.step');
  const ahead = now.step.act.type === 'clock' ? postdatedBy(entry) : 0;
  const departure =
    departs(now, entry.payload.answer, millis(entry.at)) ??
    (ahead > 0 ? misfit('clock-postdated', 'payload.departure', { by: ahead }) : null);
  return entry.payload.departure ? null : departure;
}

/** What came to nothing may be begun again while its bottle is empty; what was filled keeps the run that filled it. */
function mayBeginAgain(book: RunBook, around: RunAround): boolean {
  const run = runState(book, around.point);
  return run !== null && (run.abandoned || run.givenUp !== null) && !takenBy(run.protocol).some((analysis) => around.isFilled(analysis));
}

/** A run that is asked for and has to be over before another is started: the first water is gone once a tap was flushed. */
function startFits(
  runs: RunsBook,
  { procedure, protocol, edition }: { procedure: string; protocol: string; edition: string },
  around: RunAround,
): Misfit | null {
  const earlier = runs.get(procedure);
  if (earlier && !mayBeginAgain(earlier, around)) return misfit('run-started', 'payload.procedure');
  const due = proceduresFor(around.analyses, around.point, around.date);
  const place = due.findIndex(({ id }) => id === procedure);
  // A way that only a newer copy knows is kept, and judged by nothing here; one that an earlier edition had for such a point stays one.
  const known = findProtocol(protocol, edition);
  if (due[place] && known && procedureOf(known) !== procedure) return misfit('other-way', 'payload.protocol');
  const before = due.slice(0, Math.max(0, place)).find(({ id }) => {
    const run = runs.get(id);
    const state = run && runState(run, around.point);
    return !run || (state && !isOver(state));
  });
  return before ? misfit('run-order', 'payload.protocol', { title: titleOf(before) }) : null;
}

/** What the next step of the runs of a visit depends on. */
interface RunView {
  analyses: readonly unknown[];
  due: readonly DueRun[];
}

export const runRoom: Room<RunsBook, RunAround, RunView, RunningClock> = {
  next: { run: ({ analyses, due }) => (analyses.length > 0 ? askRun(due) : null) },
  waiting: ({ due }) => runningClocks(due),
  kinds: [runStarted, runGivenUp, stepReopened, clockStarted, stepDone, stepSkipped],
  empty: new Map(),
  fits: (runs, entry, around) => {
    if (runStarted.is(entry)) {
      const { protocol, edition } = entry.payload;
      const known = findProtocol(protocol, edition);
      if (!known && around.point.type !== 'tap') return misfit('not-here', 'visit', { type: around.point.type });
      return !known || mayRunAt(known, around.point)
        ? startFits(runs, entry.payload, around)
        : misfit('not-here', 'visit', { type: around.point.type });
    }
    const book = runs.get((entry.payload as { procedure: string }).procedure);
    return book ? stepFits(book, entry, around) : misfit('start-first', 'payload.procedure');
  },
  advance: (runs, entry, { point }) => {
    const at = millis(entry.at);
    const { procedure } = entry.payload as { procedure: string };
    if (runStarted.is(entry)) {
      const { protocol, edition } = entry.payload;
      const start = { at, protocol, edition, entry: entry.id };
      const earlier = runs.get(procedure);
      const was = earlier && runState(earlier, point);
      const before = was ? [...was.before, asBefore(was)] : [];
      return new Map(runs).set(procedure, { procedure, start, given: new Map(), clocks: new Map(), givenUp: null, before });
    }
    const book = runs.get(procedure)!;
    const changed = (change: Partial<RunBook>) => new Map(runs).set(procedure, { ...book, ...change });
    if (runGivenUp.is(entry)) return changed({ givenUp: entry.payload.reason });
    if (stepReopened.is(entry)) return changed(reopened(book, entry.payload, point));
    if (clockStarted.is(entry)) {
      const { step, reason } = entry.payload;
      const restarts = [...(book.clocks.get(step)?.restarts ?? []), ...(reason ? [reason] : [])];
      return changed({ clocks: new Map(book.clocks).set(step, { from: at, backdated: backdatedBy(entry), restarts }) });
    }
    if (!stepDone.is(entry) && !stepSkipped.is(entry)) return runs;
    const { step, departure = null } = entry.payload;
    const [answer, test = null] = stepDone.is(entry) ? [entry.payload.answer, entry.payload.test] : [null];
    return changed({ given: new Map(book.given).set(step, { entry: entry.id, at, departure, test, answer }) });
  },
};

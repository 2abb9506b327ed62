import { purpose, rulesFor, type AnalysisId, type BottleTable, type PurposeId, type RuleId } from '../bottles/index.ts';
import type { Ask } from '../book/index.ts';
import type { Point } from '../registers/index.ts';
import type { RunningClock } from './clock.ts';
import type { Protocol } from './protocol.ts';
import { spoiltByDisinfection } from './tables/spoilt.ts';
import { isOver, proceduresFor, takenBy, titleOf, type RunState } from './run.ts';

interface Sampled {
  /** Of the round, `YYYY-MM-DD`. */
  date: string;
  point: Point;
  analyses: readonly AnalysisId[];
  runs: readonly RunState[];
  unknownRuns: readonly { procedure: string }[];
  table: BottleTable | null;
}

/** A run that a visit asks for or has: its protocol, the ways among which it is chosen, and where it stands; null before it is started. */
export interface DueRun {
  procedure: string;
  /** Its protocol's, or the procedure's while it is open which way it will go. */
  title: string;
  /** The one that was started, or the first of the ways. */
  protocol: Protocol;
  ways: readonly Protocol[];
  run: RunState | null;
}

/** The runs of a visit in the order of their running: those asked for, and those started that nothing asks for any more. */
export function runsOf({ date, point, analyses, runs, unknownRuns }: Sampled): DueRun[] {
  const due = proceduresFor(analyses, point, date)
    .filter(({ id }) => !unknownRuns.some(({ procedure }) => procedure === id))
    .map((asked): DueRun => {
      const { id, ways } = asked;
      const run = runs.find((one) => one.procedure === id) ?? null;
      const protocol = run?.protocol ?? ways[0]!;
      const title = run ? protocol.title : titleOf(asked);
      return { procedure: id, title, protocol, ways, run };
    });
  const others = runs.filter((run) => !due.some(({ procedure }) => procedure === run.procedure));
  return [
    ...due,
    ...others.map((run) => ({ procedure: run.procedure, title: run.protocol.title, protocol: run.protocol, ways: [run.protocol], run })),
  ];
}

/** The run, of those of a visit, at a step of which a bottle is filled; null for one that is filled freely, as a blank is. */
export function runThatFills(
  { table, due }: { table: BottleTable | null; due: readonly DueRun[] },
  { rule, purpose: id }: { rule: RuleId; purpose: PurposeId },
): DueRun | null {
  if (!table || !purpose(id).isWater) return null;
  return due.find(({ protocol }) => rulesFor(table, takenBy(protocol)).includes(rule)) ?? null;
}

/** What of a visit a protocol would spoil if it were run now: it disinfects the outlet, and their bottles are still to be filled. */
export function spoiltBy(protocol: Protocol, runs: readonly DueRun[]): DueRun[] {
  if (!protocol.steps.some(({ id }) => id === 'disinfect')) return [];
  const isLeft = ({ run }: DueRun) => run === null || !isOver(run);
  return runs.filter((one) => one.protocol.id !== protocol.id && isLeft(one) && spoiltByDisinfection.includes(one.protocol.analysis));
}

/** What is asked for next of the runs of a visit, or null when all are over. A clock that runs waits. */
export function askRun(runs: readonly DueRun[]): Ask | null {
  const due = runs.find(({ run }) => !run || !isOver(run));
  if (!due) return null;
  const { procedure, run } = due;
  if (!run?.now) return run ? null : { code: 'start-protocol', data: { title: due.title }, procedure };
  const { step, clockFrom } = run.now;
  const isRunning = step.act.type === 'clock' && clockFrom !== null;
  return { code: 'next-step', data: { say: step.say }, procedure, ...(isRunning ? { waits: true } : {}) };
}

/** The clocks that run at a visit. */
export function runningClocks(runs: readonly DueRun[]): RunningClock[] {
  return runs.flatMap(({ procedure, run }) => {
    if (run?.now?.step.act.type !== 'clock' || run.now.clockFrom === null) return [];
    const { say, act } = run.now.step;
    return [{ procedure, say, from: run.now.clockFrom, least: act.least, most: act.most ?? null }];
  });
}

import type { StepAnswer } from './entries.ts';
import type { Step, Stop } from './protocol.ts';

/** A step of a run: where it stands, and what was answered. */
export interface RunStep {
  step: Step;
  state: 'done' | 'skipped' | 'now' | 'later';
  /** When its clock was started, in ms. */
  clockFrom: number | null;
  /** How long, in ms, after its time the start of its clock was written down; 0 when it was started as it happened. */
  clockBackdated: number;
  /** Why its clock was started anew, each time. */
  restarts: readonly string[];
  doneAt: number | null;
  entry: string | null;
  answer: StepAnswer | null;
  departure: string | null;
  /** The field test whose reading was taken over; null where it was typed. */
  test: string | null;
  stops: Stop[];
}

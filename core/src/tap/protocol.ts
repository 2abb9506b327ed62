import type { AnalysisId } from '../bottles/index.ts';
import type { Edition } from '../editions/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { Point } from '../registers/index.ts';
import type { UnitId } from '../units/index.ts';

/** What a stop does to the run: the sample is `special`, no routine one; or the run must be `abandoned`. */
export type StopOutcome = 'special' | 'abandoned';

export interface Stop {
  outcome: StopOutcome;
  say: string;
  /** What to do about it, in the imperative. */
  advice: string;
  source: string;
}

/** A measured number that stops the run when it is below the least or above the most, in the step's unit. */
export interface MeasureStop extends Stop {
  below?: 'residual-minimum' | number;
  above?: number;
}

/** What a step asks of the person. */
export type StepAct =
  | { type: 'confirm' }
  /** Each item is answered yes or no; a `no` on one with a stop stops the run. */
  | { type: 'checks'; items: readonly { id: string; label: string; stop?: Stop }[] }
  | { type: 'choose'; options: readonly { id: string; label: string; caution?: string }[] }
  /**
   * Runs at least `least` and, where it is said, at most `most` seconds from the moment it is started. `restart` says what
   * makes it start anew, as when somebody draws water that must stand.
   */
  | { type: 'clock'; least: number; most?: number; usual?: string; restart?: string }
  | { type: 'measure'; parameter: ParameterId; unit: UnitId; stops: readonly MeasureStop[] }
  /** Done once every bottle of the analysis is filled. */
  | { type: 'fill'; analysis: AnalysisId };

export interface Step {
  id: string;
  /** The instruction, in the imperative. */
  say: string;
  why: string;
  source: string;
  caution?: string;
  /** Only asked when an earlier choice was one of these. */
  when?: { step: string; chosen: readonly string[] };
  act: StepAct;
}

/** An ordered list of steps. One engine runs them all; an edition is never changed once it was used. */
export interface Protocol extends Edition {
  title: string;
  /** Where it is run; at a tap unless it says otherwise. */
  at?: readonly Point['type'][];
  /** The analysis it takes the sample for. */
  analysis: AnalysisId;
  steps: readonly Step[];
}

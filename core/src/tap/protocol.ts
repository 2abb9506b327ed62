import type { AnalysisId, PurposeId, SampleKind } from '../bottles/index.ts';
import type { Edition } from '../editions/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { Origin, Point, PointKind, TraitId } from '../registers/index.ts';
import type { UnitId } from '../units/index.ts';

/** What a stop does to the run: the sample is `special`, no routine one; `invalid`, spoilt; or the run must be `abandoned`. */
export type StopOutcome = 'special' | 'invalid' | 'abandoned';

export interface Stop {
  outcome: StopOutcome;
  say: string;
  /** What to do about it, in the imperative. */
  advice: string;
  source: string;
}

/** What a departure makes of the sample: nothing but a note, or less than a routine one. */
export type Effect = 'noted' | Exclude<SampleKind, 'routine'>;

/** A measured number that stops the run when it is below the least or above the most, in the step's unit. */
export interface MeasureStop extends Stop {
  below?: 'residual-minimum' | number;
  above?: number;
  /** Above what an earlier step measured. */
  aboveStep?: string;
  /** Only where the water is disinfected, or only where it is not. */
  where?: 'disinfected' | 'undisinfected';
}

/** A number above which somebody is asked whether it is so, in the step's unit, and what it would mean. */
export interface AskedAbove {
  above: number;
  says: string;
}

/** The step at which the lab's stub of a bottle is kept: its number is the lab's own code of that bottle. */
export const stubStep = 'stub';

/** At which points something is for; all that is said has to hold. */
export interface Where {
  kinds?: readonly PointKind[];
  notKinds?: readonly PointKind[];
  disinfected?: boolean;
  origins?: readonly Origin[];
  /** How its water is disinfected; `not` where anything else is, or nothing was said. */
  by?: { kind: NonNullable<Point['disinfection']>; not?: true };
  trait?: { id: TraitId; not?: true };
  /** Where its water comes from, as registered; `unsaid` where nobody said. */
  sources?: readonly (NonNullable<Point['source']> | 'unsaid')[];
}

export interface ChoiceOption {
  id: string;
  label: string;
  caution?: string;
  /** Only offered at such a point. */
  where?: Where;
}

/** Something that is answered yes or no. */
export interface CheckItem {
  id: string;
  label: string;
  stop?: Stop;
  no?: Effect;
  /** Yes means that a bottle of this purpose is filled: the book knows it. */
  filled?: PurposeId;
}

/** What a step asks of the person. */
export type StepAct =
  | { type: 'confirm' }
  /** Each item is answered yes or no; a `no` on one with a stop stops the run, on another it has the effect `no`. */
  | { type: 'checks'; items: readonly CheckItem[] }
  | { type: 'choose'; options: readonly ChoiceOption[] }
  /**
   * Runs at least `least` and, where it is said, at most `most` seconds from the moment it is started. `restart` says what
   * makes it start anew, as when somebody draws water that must stand.
   */
  | { type: 'clock'; least: number; most?: number; usual?: string; restart?: string }
  | { type: 'measure'; parameter: ParameterId; unit: UnitId; stops: readonly MeasureStop[]; asked?: AskedAbove }
  /** Measured again and again until so many readings in a row lie within a width, in the step's unit. */
  | { type: 'constant'; parameter: ParameterId; unit: UnitId; within: number; count: number }
  /** How long something has been so: at least so many seconds, or it stops the run. */
  | { type: 'since'; asks: string; least: number; stop: Stop }
  /** Done so many times, counted one by one. */
  | { type: 'times'; least: number }
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
  /** Only asked at such a point. */
  where?: Where;
  /** Other words where the water is not disinfected: a spring, a raw tap, a well of one’s own. */
  undisinfected?: { say?: string; why?: string };
  /** What a departure from it makes of the sample: left out, cut short, let run over. Special where an edition does not say it. */
  departed?: Effect;
  /** What a clock that ran longer than its most makes of it, where that is something else. */
  overrun?: Effect;
  /** It cannot be left out: what comes after it would not be safe. */
  isNeeded?: true;
  act: StepAct;
}

/** An ordered list of steps. One engine runs them all; an edition is never changed once it was used. */
export interface Protocol extends Edition {
  title: string;
  /**
   * It is one of several ways to run a procedure, and what this one is for. Which of them is asked where more than one is for the point. Without
   * it the protocol is the procedure's only or first way.
   */
  way?: { of: string; says: string };
  /** Points it is for, of its type. */
  where?: Where;
  /** Where it is run; at a tap unless it says otherwise. */
  at?: readonly Point['type'][];
  /** The analysis it takes the sample for. */
  analysis: AnalysisId;
  /** Others whose bottles are filled from the same stream, where they are asked for. */
  also?: readonly AnalysisId[];
  /** It is not run where one of these is asked for too: its bottles are filled from the stream of their protocol. */
  ridesWith?: readonly AnalysisId[];
  /** For so many seconds from the first clock or measurement on, a bottle may be filled: then the water is another. An hour where it is left out. */
  freshFor?: number;
  steps: readonly Step[];
}

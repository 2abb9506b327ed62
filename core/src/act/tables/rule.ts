import type { Edition } from '../../editions/index.ts';
import type { VerdictState } from '../../limits/index.ts';
import type { ParameterId, ParameterKind } from '../../parameters/index.ts';
import type { Origin } from '../../registers/index.ts';

/** Hours from the moment at which the result was known, or the end of that day by the site's wall clock. */
export type Due = { hours: number } | { endOfDay: true };

/** What puts a result in doubt: a blank of its batch that grew, or another bottle of the same water. */
export type Doubt = 'blank' | 'duplicate';

export interface FollowUpRule {
  id: string;
  /** When it applies; a field that is left out does not matter. */
  when: {
    parameters?: readonly ParameterId[];
    states: readonly VerdictState[];
    use?: 'supply' | 'monitoring';
    sample?: 'routine' | 'special';
    notParameters?: readonly ParameterId[];
    /** What the parameter is: a germ, a metal. */
    kinds?: readonly ParameterKind[];
    notKinds?: readonly ParameterKind[];
    /** The ids of limit sets of which one leads, or none does. */
    sets?: readonly string[];
    notSets?: readonly string[];
    /** Whose water it is. */
    origins?: readonly Origin[];
    /** Whether it is a count beside a blank that grew. */
    doubtful?: boolean;
    /** What puts it in doubt; none for what nothing does. */
    doubts?: readonly Doubt[];
  };
  do: string;
  /** What is said instead where other results of the point are over a value too: advice for one may be wrong for the other. */
  beside?: {
    parameters?: readonly ParameterId[];
    notParameters?: readonly ParameterId[];
    kinds?: readonly ParameterKind[];
    notKinds?: readonly ParameterKind[];
    do: string;
  };
  due: Due;
  source: string;
}

export interface FollowUpTable extends Edition {
  rules: readonly FollowUpRule[];
  /** What it asks for of lost bottles beside a new sample of what was refused: a call to that lab, a look for what was not found. */
  lost?: readonly ('call-lab' | 'missing')[];
}

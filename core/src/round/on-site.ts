import { method, type Doubt, type FieldTest } from '../fieldtests/index.ts';
import { judgeResult, type JudgedResult, type LimitSet, type Weakness } from '../limits/index.ts';
import { inOwnUnit, type ParameterId } from '../parameters/index.ts';
import type { LabResult } from '../read/index.ts';
import { lastReading } from '../tap/index.ts';
import { wallTime } from '../time/index.ts';
import { readNumber, type Typed } from '../units/index.ts';
import type { VisitState } from './visit.ts';

/** What was measured at the point and not in a lab: by a field test, at a step of a protocol, or in the last set of a purge. */
export interface SiteResult extends JudgedResult {
  /** Unique at its visit. */
  id: string;
  kind: 'field-test' | 'at-a-step' | 'in-the-purge';
  /** By which method, where it is told. */
  by: string;
  at: number;
  doubts: readonly Doubt[];
  /** The class of a chart that it is; null for a number. */
  span: { low: number; high: number } | null;
}

/** What cannot wait for a lab: a number from the point is the number. Anything else is screened there, and a lab decides. Common practice. */
const ownOfSite: readonly ParameterId[] = [
  'temperature',
  'ph',
  'conductivity',
  'oxygen',
  'redox',
  'turbidity',
  'freeChlorine',
  'totalChlorine',
  'monochloramine',
];

type Measured = Omit<SiteResult, 'verdict' | 'others'>;

const asResult = (parameter: ParameterId, form: LabResult['form'], value: number, written: string): LabResult => ({
  line: 0,
  bottle: '',
  parameter,
  form,
  value,
  inclusive: form !== 'above',
  estimated: false,
  reportingLimit: null,
  written: { result: written, unit: '', reportingLimit: '' },
});

function ofTests(tests: readonly FieldTest[]): Measured[] {
  return tests.flatMap(({ id, method: by, told, readAt, dropped, doubts }) => {
    if (!told || readAt === null || dropped !== null) return [];
    const { parameter, form, low, high } = told;
    const result =
      form === 'above' ? asResult(parameter, 'above', low, '') : asResult(parameter, form === 'value' ? 'value' : 'below', high, '');
    return [{ id, kind: 'field-test', by: method(by).name, at: readAt, doubts, result, span: form === 'class' ? { low, high } : null }];
  });
}

const ofReading = (parameter: ParameterId, reading: Typed | null): LabResult[] =>
  reading && readNumber(reading.text).ok ? [asResult(parameter, 'value', inOwnUnit(parameter, reading), reading.text)] : [];

/** What steps measured themselves; what they took over from a test stands with the test. */
function atSteps({ runs, tests }: VisitState): Measured[] {
  return runs.flatMap(({ protocol, steps }) =>
    steps.flatMap(({ step: { id, act }, answer, doneAt, test }): Measured[] => {
      if ((act.type !== 'measure' && act.type !== 'constant') || doneAt === null || tests.some((one) => one.id === test)) return [];
      return ofReading(act.parameter, lastReading(answer)).map((result) => ({
        id: `${protocol.id} ${id}`,
        kind: 'at-a-step',
        by: protocol.title,
        at: doneAt,
        doubts: [],
        result,
        span: null,
      }));
    }),
  );
}

function inThePurge({ purge }: VisitState): Measured[] {
  const last = purge?.sets.at(-1);
  if (!last) return [];
  return (Object.entries(last.values) as [ParameterId, Typed][]).flatMap(([parameter, reading]) =>
    ofReading(parameter, reading).map((result): Measured => ({
      id: `purge ${parameter}`,
      kind: 'in-the-purge',
      by: 'Last set of the purge',
      at: last.at,
      doubts: [],
      result,
      span: null,
    })),
  );
}

/** Why a number from the point would be no proof where it lies under a value. */
function weaknessOnSite({ doubts, result: { parameter } }: Measured): Weakness | null {
  if (doubts.some(({ code }) => code !== 'by-eye')) return 'doubted';
  return doubts.length > 0 || !ownOfSite.includes(parameter) ? 'screened' : null;
}

/** Against a set: a class is over where all of it is, and cannot be told where a part of it is. */
function judgeMeasured(one: Measured, set: LimitSet, day: string) {
  const weakness = weaknessOnSite(one);
  const { result, span } = one;
  const all = span && judgeResult({ ...result, form: 'value', value: span.low }, set, day, weakness);
  return all?.state.startsWith('over-') ? all : judgeResult(result, set, day, weakness);
}

/** What was measured at a point, judged by the sets of its visit, in the order in which it was read. */
export function siteResults(visit: VisitState, [set, ...others]: readonly [LimitSet, ...LimitSet[]], zone: string): SiteResult[] {
  const measured = [...ofTests(visit.tests), ...atSteps(visit), ...inThePurge(visit)].sort((a, b) => a.at - b.at);
  return measured.map((one) => {
    const day = wallTime(one.at, zone).date;
    return {
      ...one,
      verdict: judgeMeasured(one, set, day),
      others: others.map((other) => ({ set: other, verdict: judgeMeasured(one, other, day) })),
    };
  });
}

import { doubtsOf, type BottleCount, type Count, type Culture, type CultureBook } from '../culture/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import { standingResults, type LabResult, type ReadBook, type Standing } from '../read/index.ts';
import type { RoundBook } from './state.ts';

const counted: readonly ['coliforms', 'ecoli'] = ['coliforms', 'ecoli'];

/** Nothing positive in 100 mL and more is none found in 100 mL, whatever number an equation gives for it. */
const isNone = ({ form, examined }: Count) => form === 'below' && examined >= 100 * (1 - 1e-9);

/** A count as a result; null for what was read before its time and says nothing. */
function asResult(bottle: string, parameter: ParameterId, count: Count): LabResult | null {
  if (count.form === 'open') return null;
  const { form, value } = isNone(count) ? { form: 'absent' as const, value: null } : { form: count.form, value: count.value };
  return {
    line: 0,
    bottle,
    parameter,
    form: form === 'least' ? 'above' : form,
    value,
    ...(form === 'least' ? { inclusive: true } : {}),
    estimated: false,
    reportingLimit: null,
    written: { result: value === null ? form : String(value), unit: 'per 100 mL', reportingLimit: '' },
  };
}

/** What was counted on the own bench, as results that hold. */
const ofBench = (cultures: CultureBook): Standing[] =>
  cultures
    .filter(({ dropped }) => dropped === null)
    .flatMap(({ id, counts }) =>
      counts.flatMap((count) =>
        counted.flatMap((parameter): Standing[] => {
          const result = asResult(count.bottle, parameter, count[parameter]);
          if (!result) return [];
          return [{ result, report: null, bench: id, known: count.at, isPreliminary: false, isContradicted: false }];
        }),
      ),
    );

const worked = new WeakMap<ReadBook, { cultures: CultureBook; all: readonly Standing[] }>();

/** Every result that holds in a round: reported, told, or counted on the own bench. */
export function standingIn({ report, culture }: Pick<RoundBook, 'report' | 'culture'>): readonly Standing[] {
  const known = worked.get(report);
  if (known?.cultures === culture) return known.all;
  const all = culture.length === 0 ? standingResults(report) : [...standingResults(report), ...ofBench(culture)];
  worked.set(report, { cultures: culture, all });
  return all;
}

/** The count of a bottle on the own bench with all that may be doubted of it; null where it was not counted there. */
export function benchCount(
  cultures: CultureBook,
  bottle: string,
): { culture: Culture; count: BottleCount; doubts: ReturnType<typeof doubtsOf> } | null {
  for (const culture of cultures) {
    const count = culture.dropped === null ? culture.counts.find((one) => one.bottle === bottle) : undefined;
    if (count) return { culture, count, doubts: doubtsOf(culture, count) };
  }
  return null;
}

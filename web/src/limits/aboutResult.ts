import { duplicatesMayDiffer, metWhenRounded, sayBecause, sayWeakness, uncertaintyAllowed, type JudgedResult } from '@fonte/core/limits';
import type { RoundResult } from '@fonte/core/round';

/** What is to be said of a number beside its value, in sentences. */
export function aboutNumber({ result, verdict }: Pick<JudgedResult, 'result' | 'verdict'>): string[] {
  const { limit, state } = verdict;
  const rounded = metWhenRounded(result, verdict);
  const allowed = uncertaintyAllowed(result, verdict);
  return [
    sayBecause(result.parameter, verdict.because),
    verdict.isWithinUncertainty
      ? 'The value lies within the uncertainty that the lab states; the number decides (simple acceptance, ILAC-G8:09/2019).'
      : '',
    rounded
      ? `Rounded to the decimals of the value it is ${rounded}, which is not over it: for compliance the federal practice rounds first. Ask your authority.`
      : '',
    allowed === null
      ? ''
      : `The lab’s uncertainty is wider than ${Math.round(allowed * 100)} % of the value, the most that Annex III of the Directive allows a method: ask the lab.`,
    state.startsWith('over-') ? (limit?.says ?? '') : '',
    limit ? `${limit.place}.` : '',
    limit?.note ? `${limit.note}.` : '',
  ];
}

/** What was known of the sample and of the number besides the number, in sentences. */
export function aboutResult(one: RoundResult, because: readonly string[]): string {
  const { result, verdict, purpose, doubt } = one;
  const { state, weakness } = verdict;
  return [
    purpose === 'duplicate' ? 'The duplicate.' : '',
    one.isDissolved && weakness !== 'dissolved' ? 'Dissolved: what passed a filter.' : '',
    weakness && (state === 'proves-nothing' || !state.startsWith('over-')) ? sayWeakness(weakness) : '',
    ...because,
    one.isPreliminary && one.report ? 'Preliminary: the lab will report it again.' : '',
    one.twin
      ? `${one.twin.bottle}, the other bottle of this water, differs by ${Math.round(one.twin.by * 100)} %; up to ${duplicatesMayDiffer * 100} % is usual.`
      : '',
    doubt.length > 0 ? `In doubt: the blank ${doubt.join(', ')} holds it too.` : '',
    result.estimated && one.report ? 'An estimate.' : '',
    result.unusual ? 'Labs do not usually find so much or so little: look at the unit in the report.' : '',
    ...aboutNumber(one),
  ]
    .filter((sentence) => sentence !== '')
    .join(' ');
}

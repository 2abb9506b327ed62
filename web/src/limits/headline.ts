import { boundsOf, type VerdictState } from '@fonte/core/limits';
import { inText, isGerm, type ParameterId } from '@fonte/core/parameters';
import type { HandOutcome } from '@fonte/core/read';
import { ofPoint, type RoundResult, type RoundVerdict } from '@fonte/core/round';

const plural = (number: number, one: string, many: string) => (number === 1 ? `1 ${one}` : `${number} ${many}`);

/** What is not known yet, in a few words each: it comes before anything that is well. */
function gapsIn({ gaps, visits }: RoundVerdict): string[] {
  const open = gaps.pending.flatMap(({ parameters }) => parameters);
  const germs = [...new Set(open.filter(isGerm))];
  const others = open.filter((id) => !isGerm(id)).length;
  const known = visits.flatMap((visit) => visit.judged).map(({ result }) => result.parameter);
  // Of what was told of one of them the headline speaks already.
  const waited = germs.filter((id) => !known.includes(id) || gaps.pending.filter(({ parameters }) => parameters.includes(id)).length > 1);
  const isAll = waited.length > 1;
  const judged = visits.flatMap((visit) => visit.judged);
  const preliminary = judged.filter(({ report, isPreliminary }) => report !== null && isPreliminary).length;
  return [
    ...(isAll ? ['bacteria pending'] : waited.map((id) => `${inText(id)} pending`)),
    ...(others > 0
      ? [`${plural(others, waited.length > 0 ? 'more result' : 'result', waited.length > 0 ? 'more results' : 'results')} pending`]
      : []),
    ...(gaps.rows > 0 ? [`${plural(gaps.rows, 'row', 'rows')} not understood`] : []),
    ...(gaps.without > 0 ? [`${plural(gaps.without, 'result', 'results')} will not come`] : []),
    ...(gaps.byHand > 0 ? [`${plural(gaps.byHand, 'sample is', 'samples are')} to be compared by hand`] : []),
    ...(preliminary > 0 ? [`${plural(preliminary, 'result is', 'results are')} preliminary`] : []),
  ];
}

/** A result of the water of a point, with the point's name. */
type AtPoint = RoundResult & { pointName: string };

const allOf = (verdict: RoundVerdict): AtPoint[] =>
  verdict.visits.flatMap(({ pointName, judged }) => ofPoint(judged).map((one) => ({ ...one, pointName })));

const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`;

const pointsOf = (results: readonly AtPoint[]): string => listed([...new Set(results.map(({ pointName }) => pointName))]);

/** So many substances are named; of more, how many results it is. */
const named = 3;

/** `lead exceeds a health value at Market hall`, by substance; beyond a few of them, how many more. */
function exceeding(results: readonly AtPoint[], [one, many]: readonly [string, string]): string[] {
  const ids = [...new Set(results.map(({ result }) => result.parameter))];
  const rest = results.filter(({ result }) => ids.indexOf(result.parameter) >= named).length;
  return [
    ...ids.slice(0, named).map((id) => `${inText(id)} ${one} at ${pointsOf(results.filter(({ result }) => result.parameter === id))}`),
    ...(rest > 0 ? [`${plural(rest, 'more result', 'more results')} ${rest === 1 ? one : many}`] : []),
  ];
}

/** Germs that were found, or about which nothing can be decided, whatever a set says of them. */
function germsIn(all: readonly AtPoint[]): { found: string[]; open: string[] } {
  const germs = all.filter(({ result }) => isGerm(result.parameter));
  const say = (results: readonly AtPoint[], what: string) =>
    [...new Set(results.map(({ result }) => result.parameter))].map((id) => {
      const own = results.filter(({ result }) => result.parameter === id);
      return `${inText(id)} ${what}${own.every(({ bench }) => bench !== undefined) ? ' by the in-house lab test' : ''} at ${pointsOf(own)}`;
    });
  const isFound = ({ result }: AtPoint) => boundsOf(result).low > 0;
  const isOpen = ({ result, verdict: one }: AtPoint) =>
    !['meets', 'proves-nothing'].includes(one.state) && result.form !== 'absent' && result.value !== 0;
  return {
    found: say(germs.filter(isFound), 'found'),
    open: say(
      germs.filter((one) => !isFound(one) && isOpen(one)),
      'cannot be decided',
    ),
  };
}

/** Sums in a state, by name and point; not where one of its parts by itself is over a value already. */
function sumsIn({ visits }: RoundVerdict, state: VerdictState, what: string): string[] {
  const found = visits.flatMap(({ pointName, sums, judged }) => {
    const isOver = (id: ParameterId) => judged.some(({ result, verdict }) => result.parameter === id && verdict.state === state);
    const own = sums.filter((sum) => sum.state === state && !sum.rule.shares.some((share) => isOver(share.parameter)));
    return own.map(({ rule: { name } }) => ({ pointName, name }));
  });
  return [...new Set(found.map(({ name }) => name))].map((name) => {
    const points = listed([...new Set(found.filter((one) => one.name === name).map(({ pointName }) => pointName))]);
    return `${/^[A-Z]{2}/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1)} ${what} at ${points}`;
  });
}

const exceeds = (value: string) => ({ result: [`exceeds ${value}`, `exceed ${value}`], sum: `over ${value}` }) as const;

/** What is said of a result in a state, of several, and of a sum; of every state that is not well. */
const stateWords: Record<
  Exclude<VerdictState, 'meets' | 'no-value' | 'proves-nothing'>,
  { result: readonly [string, string]; sum: string }
> = {
  'over-health': exceeds('a health value'),
  'over-action': exceeds('the action level'),
  'over-operational': exceeds('an operational value'),
  'over-indicator': exceeds('an indicator value'),
  'over-aesthetic': exceeds('a value for taste or looks'),
  'cannot-tell': { result: ['cannot be decided', 'cannot be decided'], sum: 'cannot be decided' },
};

/** Bottles without a result: they are named, since nobody else will ask for them. */
function lostIn({ gaps: { lost } }: RoundVerdict): string[] {
  const say = (how: 'refused' | 'missing', what: string) => {
    const bottles = lost.filter((one) => one.how === how).map(({ bottle }) => bottle);
    if (bottles.length === 0) return [];
    return [bottles.length > named ? `${bottles.length} bottles have no result (${what})` : `no result of ${listed(bottles)} (${what})`];
  };
  return [...say('refused', 'rejected by the lab'), ...say('missing', 'missing')];
}

/**
 * The verdict in one sentence, true for somebody who reads nothing else: germs that were found first, then what exceeds a health value,
 * what is not known yet, and the rest; each with its substance and its point.
 */
export function headline(verdict: RoundVerdict): string {
  const all = allOf(verdict);
  const rest = all.filter(({ result }) => !isGerm(result.parameter));
  const inState = (state: VerdictState, of = rest) => of.filter((one) => one.verdict.state === state);
  /** Results and sums in a state, in words. */
  const isIn = (state: keyof typeof stateWords) => {
    const words = stateWords[state];
    return [...exceeding(inState(state), words.result), ...sumsIn(verdict, state, words.sum)];
  };
  const germs = germsIn(all);
  const gaps = [...gapsIn(verdict), ...lostIn(verdict)];
  const byHand = (outcome: HandOutcome) => verdict.byHand.filter(({ given }) => given?.outcome === outcome).length;
  const parts = [
    ...germs.found,
    ...isIn('over-health'),
    ...(byHand('over') > 0 ? [`${plural(byHand('over'), 'sample', 'samples')} over a limit by hand`] : []),
    ...gaps,
    ...germs.open,
    ...(byHand('cannot-tell') > 0 ? [`${plural(byHand('cannot-tell'), 'sample', 'samples')} cannot be decided by hand`] : []),
    ...(verdict.blanks.some(({ isHit }) => isHit) ? ['a blank was not clean'] : []),
    ...isIn('over-action'),
    ...isIn('cannot-tell'),
    ...(inState('proves-nothing', all).length > 0
      ? [plural(inState('proves-nothing', all).length, 'result is inconclusive', 'results are inconclusive')]
      : []),
    ...isIn('over-operational'),
    ...isIn('over-indicator'),
    ...isIn('over-aesthetic'),
  ];
  const unset = inState('no-value').length;
  if (parts.length === 0 && all.length === 0) return 'What was compared by hand meets its limits.';
  if (parts.length === 0)
    return unset > 0 ? `Every result that has a value meets it; ${plural(unset, 'has', 'have')} none.` : 'Every result meets its value.';
  // A point's name may have a comma of its own.
  const text = parts.join('; ');
  // Only where nothing but gaps stands before it, it is said that the rest is well.
  const end =
    parts.length > gaps.length || inState('meets', all).length === 0
      ? ''
      : unset > 0
        ? '; the rest meets where it has a value'
        : '; the rest meets';
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}${end}.`;
}

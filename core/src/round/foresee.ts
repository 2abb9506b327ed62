import { sayTask } from '../act/index.ts';
import { struck, type Aside, type Entry, type Misfit } from '../book/index.ts';
import { stages, type SampleKind, type Stage } from '../bottles/index.ts';
import type { VerdictState } from '../limits/index.ts';
import { measuredOf } from '../read/index.ts';
import type { BottleState } from './bottle.ts';
import { fold, type RoundState } from './fold.ts';

/** What else would change with an entry: told to the person before it is written. */
export type Consequence =
  | { code: 'set-aside'; entry: Entry; misfit: Misfit }
  | { code: 'still-aside'; entry: Entry; misfit: Misfit }
  | { code: 'sample'; point: string; to: SampleKind }
  | { code: 'stage-back'; bottle: string; from: Stage; to: Stage }
  | { code: 'deadline'; bottle: string; to: number }
  | { code: 'verdict'; point: string; parameter: string; to: VerdictState }
  | { code: 'follow-up-gone'; point: string; what: string };

export interface Foreseen {
  /** Why the entry itself would stand aside, or null. */
  misfit: Misfit | null;
  consequences: Consequence[];
}

function bottleConsequences(before: BottleState, after: BottleState): Consequence[] {
  const found: Consequence[] = [];
  if (stages.indexOf(after.stage) < stages.indexOf(before.stage))
    found.push({ code: 'stage-back', bottle: after.id, from: before.stage, to: after.stage });
  if (before.holding && after.holding && before.holding.deadline !== after.holding.deadline)
    found.push({ code: 'deadline', bottle: after.id, to: after.holding.deadline });
  return found;
}

function verdictConsequences(before: RoundState, after: RoundState): Consequence[] {
  const known = new Map(
    (before.verdict?.visits ?? []).flatMap((visit) =>
      visit.judged.map(({ result, verdict }) => [measuredOf(result), verdict.state] as const),
    ),
  );
  return (after.verdict?.visits ?? []).flatMap((visit) =>
    visit.judged.flatMap(({ result, verdict }): Consequence[] => {
      const was = known.get(measuredOf(result));
      return was === undefined || was === verdict.state
        ? []
        : [{ code: 'verdict', point: visit.pointName, parameter: result.parameter, to: verdict.state }];
    }),
  );
}

/** Follow-ups that are open and that nothing would ask for any more. */
function goneFollowUps(before: RoundState, after: RoundState): Consequence[] {
  const left = new Set(after.followUps.map(({ id }) => id));
  return before.followUps
    .filter(({ id, done }) => done === null && !left.has(id))
    .map(({ pointName, task }) => ({ code: 'follow-up-gone', point: pointName, what: sayTask(task).do }));
}

/** What would become of a book with one more entry: whether it fits, and what it changes beside what it says. */
export function foresee(entries: readonly Entry[], entry: Entry): Foreseen {
  return foreseen(fold(entries), fold([...entries, entry]), entry);
}

/** The same of the states without the entry and with it. */
export function foreseen(before: RoundState | null, after: RoundState | null, entry: Entry): Foreseen {
  const misfit = after?.aside.find((one) => one.entry.id === entry.id)?.misfit ?? null;
  if (!before || !after || misfit) return { misfit, consequences: [] };
  const stoodAside = new Set(before.aside.map((one: Aside<Entry>) => one.entry.id));
  const corrected = struck.is(entry) ? entry.payload.entry : null;
  const bottles = new Map(before.bottles.map((bottle) => [bottle.id, bottle]));
  return {
    misfit: null,
    consequences: [
      ...after.aside
        .filter((one) => !stoodAside.has(one.entry.id) || one.entry.id === corrected)
        .map((one): Consequence => ({ code: stoodAside.has(one.entry.id) ? 'still-aside' : 'set-aside', ...one })),
      ...after.visits.flatMap((visit): Consequence[] => {
        const was = before.visits.find((candidate) => candidate.id === visit.id);
        return was && was.sample !== visit.sample ? [{ code: 'sample', point: visit.name, to: visit.sample }] : [];
      }),
      ...after.bottles.flatMap((bottle) => {
        const was = bottles.get(bottle.id);
        return was ? bottleConsequences(was, bottle) : [];
      }),
      ...verdictConsequences(before, after),
      ...goneFollowUps(before, after),
    ],
  };
}

import { misfit, type Room } from '../book/index.ts';
import type { VerdictState } from '../limits/index.ts';
import { isGerm, parameter, type ParameterId } from '../parameters/index.ts';
import type { Origin } from '../registers/index.ts';
import { endOfDay, hour, millis } from '../time/index.ts';
import { actionDone } from './entries.ts';
import type { FollowUp } from './follow-up.ts';
import { doneBy } from './tables/same-duty.ts';
import type { Doubt, FollowUpRule, FollowUpTable } from './tables/rules.ts';

/** A judged result with what a follow-up depends on. */
export interface Occasion {
  visit: string;
  pointName: string;
  use: 'supply' | 'monitoring';
  sample: 'routine' | 'special';
  parameter: ParameterId;
  state: VerdictState;
  /** The set that leads at the point, by its id. */
  set: string;
  /** Whose water it is. */
  origin: Origin;
  /** What puts the result in doubt: it asks for a new sample, and is no alarm. */
  doubt: Doubt | null;
  /** Blanks of the round in which the same was found: their labels. */
  blanks: readonly string[];
  /** When it was known first (ms): told, or with the report that brought it. */
  known: number;
}

/** A bottle that its lab refused or nobody found, with the moment (ms) at which that was known. */
export interface LostBottle {
  bottle: string;
  visit: string;
  pointName: string;
  how: 'refused' | 'missing';
  reason: string;
  at: number;
}

/** A lab that refused bottles of a form, first at a moment (ms). */
export interface RefusedForm {
  handOver: string;
  lab: string;
  reference: string;
  bottles: readonly LostBottle[];
  at: number;
}

/** A refused sample should be taken again within three days. Common practice. */
const resampleWithin = 72 * hour;

/** What a book says was done, by the action's id. */
export type ActBook = ReadonlyMap<string, { at: number; note: string; entry: string }>;

export interface ActAround {
  /** The follow-ups as they are at that time. */
  followUps: () => readonly FollowUp[];
}

export const actRoom: Room<ActBook, ActAround, { followUps: readonly FollowUp[] }> = {
  next: {
    'follow-up': ({ followUps }) => {
      const count = followUps.filter((action) => !action.done).length;
      return count > 0 ? { code: 'follow-up', data: { count } } : null;
    },
  },
  kinds: [actionDone],
  empty: new Map(),
  fits: (done, entry, around) => {
    if (!actionDone.is(entry)) return null;
    if (done.has(entry.payload.action)) return misfit('action-done', 'payload.action');
    return around.followUps().some((action) => action.id === entry.payload.action) ? null : misfit('no-such-action', 'payload.action');
  },
  advance: (done, entry) =>
    actionDone.is(entry)
      ? new Map(done).set(entry.payload.action, { at: millis(entry.at), note: entry.payload.note, entry: entry.id })
      : done,
};

/** What must be done about bottles that were refused or not found: sample again, with the reason. */
export function resamples(lost: readonly LostBottle[], done: ActBook): FollowUp[] {
  return lost.map(({ bottle, visit, pointName, how, reason, at }) => {
    const id = `resample:${bottle}`;
    return {
      id,
      visit,
      pointName,
      task: { code: 'resample', how, bottle, reason },
      due: at + resampleWithin,
      isHealth: false,
      source: 'Common practice',
      done: done.get(id) ?? null,
    };
  });
}

/** A lab that refused bottles is called the same day: some it still tests with a note. `zone` is the site's. */
export function callsToLabs(forms: readonly RefusedForm[], zone: string, done: ActBook): FollowUp[] {
  return forms.flatMap(({ handOver, lab, reference, bottles, at }): FollowUp[] => {
    const [first] = bottles;
    const id = `call-lab:${handOver}`;
    if (!first) return [];
    return [
      {
        id,
        visit: first.visit,
        pointName: [...new Set(bottles.map(({ pointName }) => pointName))].join(', '),
        task: { code: 'call-lab', lab, reference, bottles: bottles.map(({ bottle }) => bottle) },
        due: endOfDay(at, zone),
        isHealth: false,
        source: 'Common practice',
        done: done.get(id) ?? null,
      },
    ];
  });
}

/** Whether a parameter is one that is asked for, by its name and by its kind, and none of those that are left out. */
const isAbout = (
  { parameters, notParameters, kinds, notKinds }: Pick<FollowUpRule['when'], 'parameters' | 'notParameters' | 'kinds' | 'notKinds'>,
  id: ParameterId,
): boolean =>
  (parameters?.includes(id) ?? true) &&
  !notParameters?.includes(id) &&
  (kinds?.includes(parameter(id).kind) ?? true) &&
  !notKinds?.includes(parameter(id).kind);

function applies({ when }: FollowUpRule, occasion: Occasion): boolean {
  return (
    when.states.includes(occasion.state) &&
    isAbout(when, occasion.parameter) &&
    (!when.sets || when.sets.includes(occasion.set)) &&
    !when.notSets?.includes(occasion.set) &&
    (!when.use || when.use === occasion.use) &&
    (!when.sample || when.sample === occasion.sample) &&
    (!when.origins || when.origins.includes(occasion.origin)) &&
    (when.doubtful === undefined || when.doubtful === (occasion.doubt === 'blank')) &&
    (!when.doubts || (occasion.doubt === null ? when.doubts.length === 0 : when.doubts.includes(occasion.doubt)))
  );
}

/** People may drink what is over a value for health, or holds germs. */
const isOfHealth = ({ use, state, parameter: id }: Occasion, { when }: FollowUpRule): boolean =>
  use === 'supply' &&
  // A rule that does not tell what is in doubt sounds the alarm for it as well.
  !(when.doubtful === true || (when.doubts ?? []).length > 0) &&
  (state === 'over-health' || state === 'over-action' || (state.startsWith('over-') && isGerm(id)));

const overStates: readonly VerdictState[] = ['over-health', 'over-action', 'over-indicator'];

/** What a rule asks for at a point, among everything that is over a value there. */
function sayAt({ do: usual, beside }: FollowUpRule, visit: string, occasions: readonly Occasion[]): string {
  if (!beside) return usual;
  const isBeside = occasions.some(
    (one) =>
      one.visit === visit &&
      overStates.includes(one.state) &&
      (one.state !== 'over-indicator' || isGerm(one.parameter)) &&
      isAbout(beside, one.parameter),
  );
  return isBeside ? beside.do : usual;
}

/** What the book says was done for a rule at a point, or for one with the same duty there. */
function doneFor(rule: string, visit: string, done: ActBook): FollowUp['done'] {
  const ids = [rule, ...(Object.hasOwn(doneBy, rule) ? doneBy[rule]! : [])];
  return ids.map((id) => done.get(`${id}:${visit}`)).find((one) => one !== undefined) ?? null;
}

/**
 * What must be done about the judged results of a round, soonest first. Each deadline runs from the moment at which the first
 * result that asks for it was known; `zone` is the site's, for the end of the day.
 */
export function followUps({
  occasions,
  zone,
  table,
  done,
}: {
  occasions: readonly Occasion[];
  zone: string;
  table: FollowUpTable;
  done: ActBook;
}): FollowUp[] {
  const found = new Map<string, { rule: FollowUpRule; at: Occasion; known: number; parameters: ParameterId[]; inDoubt: string[] }>();
  for (const rule of table.rules) {
    for (const at of occasions.filter((candidate) => applies(rule, candidate))) {
      const id = `${rule.id}:${at.visit}`;
      const before = found.get(id);
      if (!before) {
        found.set(id, { rule, at, known: at.known, parameters: [at.parameter], inDoubt: [...at.blanks] });
        continue;
      }
      before.known = Math.min(before.known, at.known);
      if (!before.parameters.includes(at.parameter)) before.parameters.push(at.parameter);
      before.inDoubt.push(...at.blanks.filter((one) => !before.inDoubt.includes(one)));
    }
  }
  return [...found]
    .map(([id, { rule, at, known, parameters, inDoubt }]): FollowUp => ({
      id,
      visit: at.visit,
      pointName: at.pointName,
      task: {
        code: 'rule',
        rule: rule.id,
        do: sayAt(rule, at.visit, occasions),
        parameters,
        ...(inDoubt.length > 0 ? { inDoubt } : {}),
      },
      source: rule.source,
      isHealth: isOfHealth(at, rule),
      due: 'hours' in rule.due ? known + rule.due.hours * hour : endOfDay(known, zone),
      done: doneFor(rule.id, at.visit, done),
    }))
    .sort((a, b) => a.due - b.due);
}

import { isDisinfected } from '../registers/index.ts';
import { analysisName, type AnalysisId, cardOf, purpose, readOf, rulesFor } from '../bottles/index.ts';
import type { FormLine, Stated } from '../custody/index.ts';
import { limitsFor, type LimitSet } from '../limits/index.ts';
import { pointKind, sources, waters, type FormFieldId } from '../registers/index.ts';
import { minute, showDuration, wallTime } from '../time/index.ts';
import { causes } from '../due/index.ts';
import { measured, measuredValue, occasionOf, runThatFills, stoodFor, wantsStandingWater } from '../tap/index.ts';
import { parameter, type ParameterId } from '../parameters/index.ts';
import { convert } from '../units/index.ts';
import type { BottleState } from './bottle.ts';
import type { RoundState } from './fold.ts';
import { setsAt } from './results.ts';
import type { VisitState } from './visit.ts';

type OfBottle = Pick<BottleState, 'rule' | 'purpose'>;

/** The run that fills a bottle, or where none does, the one that was walked at its tap. */
const runFor = (visit: VisitState, bottle: OfBottle) => {
  const by = runThatFills(visit, bottle);
  return by ? by.run : (visit.runs[0] ?? null);
};

/**
 * The residual a form states for a bottle: as measured, missing (null), or not needed where nothing is chlorinated or the
 * protocol that fills it does not ask for it.
 */
export function residualFor(visit: VisitState, bottle: OfBottle): Stated {
  if (!isDisinfected(visit.point)) return 'not-needed';
  if (!purpose(bottle.purpose).isWater) return 'not-needed';
  const by = runThatFills(visit, bottle);
  const isAsked = by?.protocol.steps.some(({ act }) => act.type === 'measure' && /^(?:free|total)Chlorine$/.test(act.parameter));
  if (by && !isAsked) return 'not-needed';
  const run = runFor(visit, bottle);
  if (!run) return null;
  const total = measured(run, 'totalChlorine');
  return measured(run, 'freeChlorine') ?? (total && `${total} total`);
}

/** The analyses that a bottle is for at its point. */
export function requestsOf(visit: VisitState, { rule }: Pick<BottleState, 'rule'>): AnalysisId[] {
  const { table } = visit;
  return table ? visit.analyses.filter((id) => rulesFor(table, [id]).includes(rule)) : [];
}

/** Their names, for people. */
export const requestNames = (visit: VisitState, bottle: Pick<BottleState, 'rule'>): string[] =>
  requestsOf(visit, bottle).map((id) => analysisName(visit.table, id));

/** The way a bottle was taken, where there are several: the results of one are not those of another. */
function wayOf(visit: VisitState, bottle: OfBottle): string[] {
  const by = runThatFills(visit, bottle);
  return by?.run && by.ways.length > 1 ? [by.protocol.title] : [];
}

/** What has happened where the bottle was taken in a way that is only for that. */
const occasionFor = (visit: VisitState, bottle: OfBottle): string | null => {
  const by = purpose(bottle.purpose).isWater ? runThatFills(visit, bottle) : null;
  return by?.run ? occasionOf(by.protocol) : null;
};

const kinds = { routine: 'Routine', special: 'Special', invalid: 'Spoilt' } as const;

/**
 * What a sample is to its lab: of an outbreak, a blank, a repeat after a finding, or a routine one; and special or spoilt where it is. A
 * blind duplicate is a sample like any other.
 */
function typeOf(visit: VisitState, bottle: BottleState): string {
  const other = bottle.purpose !== 'sample' && !bottle.blind ? purpose(bottle.purpose).name : null;
  const named = occasionFor(visit, bottle) ?? other ?? (visit.because ? causes[visit.because.as].name : null);
  if (named === null) return kinds[bottle.sample];
  return bottle.sample === 'routine' ? named : `${named}, ${kinds[bottle.sample].toLowerCase()}`;
}

/** How long the water of a sample that wants standing water had stood, in s, when it was filled or now (ms). */
function stagnationOf(visit: VisitState, bottle: BottleState, now: number): FormLine['stagnation'] {
  if (!purpose(bottle.purpose).isWater) return 'not-needed';
  const by = runThatFills(visit, bottle);
  if (!by || !wantsStandingWater(by.protocol)) return 'not-needed';
  return by.run ? stoodFor(by.run, bottle.filledAt ?? now) : null;
}

/** The name that its lab sees: that of the made-up point for what goes blind. */
const nameAtLab = (visit: VisitState, { blind }: Pick<BottleState, 'blind'>) => blind?.name ?? visit.name;

/** What the form has for each field of a bottle. */
function fieldsOf(round: RoundState, visit: VisitState, bottle: BottleState, stagnation: FormLine['stagnation']): FormLine['fields'] {
  const { point } = visit;
  const run = runFor(visit, bottle);
  const isWater = purpose(bottle.purpose).isWater;
  const at = bottle.filledAt === null ? null : wallTime(bottle.filledAt, round.plan.zone);
  const residual = residualFor(visit, bottle) === 'not-needed';
  const values: Partial<Record<FormFieldId, string | null | undefined>> = {
    point: nameAtLab(visit, bottle),
    pointCode: bottle.blind?.code ?? point.code,
    place: bottle.blind ? 'As the round' : point.place,
    pointKind: bottle.blind ? 'Tap or well' : pointKind(point.kind).name,
    collectedOn: at?.date,
    collectedAt: at?.time.slice(0, 5),
    sampleType: typeOf(visit, bottle),
    purpose: bottle.blind ? purpose('sample').name : purpose(bottle.purpose).name,
    analyses: requestNames(visit, bottle).join(', '),
    container: `${bottle.card.container}, ${bottle.card.volume} mL`,
    preservative: bottle.card.preservative?.name ?? 'None',
    filtered: bottle.unfiltered !== null ? `No: ${bottle.unfiltered}` : bottle.card.filter ? 'Yes' : 'No',
    water: isWater ? point.water && waters[point.water] : 'Blank',
    source: isWater ? point.source && sources[point.source] : 'Blank',
    residualFree: residual ? 'Not chlorinated' : run && measured(run, 'freeChlorine'),
    residualTotal: residual ? 'Not chlorinated' : run && measured(run, 'totalChlorine'),
    stagnation: stagnation === 'not-needed' ? 'Not asked for' : stagnation !== null ? showDuration(stagnation * 1000) : null,
  };
  return Object.fromEntries(Object.entries(values).filter(([, value]) => value));
}

/** The strictest upper value of the sets that a point is judged by, for each result of a bottle, in the parameter's own unit. */
function strictest(sets: readonly LimitSet[], parameters: readonly ParameterId[], day: string): FormLine['limits'] {
  return Object.fromEntries(
    parameters.flatMap((id) => {
      const most = sets.flatMap((set) =>
        limitsFor(set, id, day).flatMap((row) => (row.most === undefined ? [] : [convert(row.most, row.unit, parameter(id).unit)])),
      );
      return most.length > 0 ? [[id, Math.min(...most)]] : [];
    }),
  );
}

const setsFor = ({ tables: { limits }, ownLimits }: RoundState, visit: VisitState): readonly LimitSet[] => {
  const [lead, ...others] = limits;
  return lead ? (setsAt(visit, [lead, ...others], ownLimits) ?? []) : [];
};

/** Blanks that a bottle's rule wants along: one a round, for each building or site, for its lab to see beside it. */
function blanksOf(round: RoundState, visit: VisitState, bottle: BottleState): FormLine['blanks'] {
  if (!purpose(bottle.purpose).isWater) return [];
  const site = ({ point }: VisitState) => point.building ?? point.place;
  return (bottle.card.extras ?? [])
    .filter((one) => !purpose(one.purpose).isWater && typeof one.every !== 'number')
    .filter((one) => one.purpose !== 'equipment-blank' || visit.point.type === 'well')
    .map(({ purpose: id, every }) => ({
      name: purpose(id).name,
      isThere: round.visits.some(
        (other) =>
          (every === 'round' || site(other) === site(visit)) &&
          other.bottles.some(
            (one) => one.purpose === id && one.rule === bottle.rule && one.filledAt !== null && !one.lost && one.lab?.id === bottle.lab?.id,
          ),
      ),
    }));
}

/**
 * When a bottle was filled as its lab gets to know it, in ms: a blind duplicate 11 to 29 minutes before its time, since the minute of its
 * twin would give it away. Earlier, so that no time that it may wait is stretched; the book keeps the true one.
 */
export function filledOnForm({ id, blind, filledAt }: Pick<BottleState, 'id' | 'blind' | 'filledAt'>): number | null {
  if (!blind || filledAt === null) return filledAt;
  const earlier = 11 + [...id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 19, 0);
  return filledAt - earlier * minute;
}

/** A bottle as it stands on the form; `now` in ms for what it is not filled yet. */
export function formLine(round: RoundState, visit: VisitState, filled: BottleState, now: number): FormLine {
  const bottle = { ...filled, filledAt: filledOnForm(filled) };
  const stagnation = stagnationOf(visit, filled, now);
  const run = runFor(visit, bottle);
  const chlorine = run ? (['freeChlorine', 'totalChlorine'] as const).flatMap((id) => measuredValue(run, id, 'mg/L') ?? []) : [];
  const table = visit.table;
  return {
    bottle,
    pointName: visit.name,
    lab: bottle.lab,
    box: round.prepare.boxed.get(bottle.place)?.id ?? '',
    analyses: requestsOf(visit, bottle),
    requests: [...requestNames(visit, bottle), ...wayOf(visit, bottle)],
    sampleType: bottle.sample,
    type: typeOf(visit, bottle),
    occasion: occasionFor(visit, bottle),
    reasons: bottle.reasons,
    residual: residualFor(visit, bottle),
    chlorine: purpose(bottle.purpose).isWater && chlorine.length > 0 ? Math.max(...chlorine) : null,
    stagnation,
    fields: fieldsOf(round, visit, bottle, stagnation),
    limits: strictest(setsFor(round, visit), readOf(bottle.card), round.plan.date),
    isForCompliance: visit.point.use === 'supply' && bottle.sample === 'routine' && occasionFor(visit, bottle) === null,
    copies: table && !purpose(bottle.purpose).isSingle ? (cardOf(table, bottle.rule).copies ?? 1) : 1,
    blanks: blanksOf(round, visit, bottle),
  };
}

/** The lines of the custody form: every filled bottle that no lab has yet, with what its lab asks about it. */
export function formLines(round: RoundState, now = 0): FormLine[] {
  return round.visits.flatMap((visit) =>
    visit.bottles
      .filter((bottle) => bottle.stage === 'filled' && (!bottle.lost || bottle.lost.how === 'missing'))
      .map((bottle) => formLine(round, visit, bottle, now)),
  );
}

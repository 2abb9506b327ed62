import { analysis, rulesFor } from '../bottles/index.ts';
import { struck, type Entry } from '../book/index.ts';
import { handedOver, labAnswered } from '../custody/index.ts';
import { bottleDiscarded, bottleFilled } from '../fill/index.ts';
import { levelRead } from '../level/index.ts';
import { analysisAdded, analysisRemoved, bottlesPacked, roundPlanned } from '../plan/index.ts';
import { purgeEnded, purgeReading, purgeSetUp } from '../purge/index.ts';
import { clockStarted, departs, findProtocol, refuseAnswer, runStarted, stepDone, stepSkipped } from '../tap/index.ts';
import { reportRead, reportReceived } from '../read/index.ts';
import { millis } from '../time/index.ts';
import { actionDone } from '../act/index.ts';
import type { RoundState, VisitState } from './fold.ts';
import { kindIn } from './kinds.ts';
import { isFilledByProtocol } from './protocol.ts';

/** Why an entry does not fit its book, with the path of the field it concerns. */
export interface Misfit {
  path: string;
  message: string;
}

const misfit = (path: string, message: string): Misfit => ({ path, message });

function admitAtVisit(entry: Entry, visit: VisitState): Misfit | null {
  if (levelRead.is(entry)) {
    if (visit.point.type !== 'well') return misfit('payload.visit', 'A tap has no water level.');
    const known = visit.point.well.measuringPoints.some((mark) => mark.name === entry.payload.measuringPoint);
    return known ? null : misfit('payload.measuringPoint', 'This well has no such measuring point.');
  }
  if (purgeSetUp.is(entry))
    return visit.level?.agreed ? null : misfit('payload.visit', 'Measure the level first: two readings must agree.');
  if (purgeReading.is(entry)) {
    if (!visit.purge?.setUp) return misfit('payload.visit', 'Set up the purge first.');
    return visit.purge.ended ? misfit('payload.visit', 'The purge has ended.') : null;
  }
  if (purgeEnded.is(entry)) {
    if (!visit.purge?.setUp || visit.purge.ended)
      return misfit('payload.visit', visit.purge?.ended ? 'The purge has ended.' : 'Set up the purge first.');
    return visit.purge.ready || entry.payload.reason
      ? null
      : misfit('payload.reason', 'Volume or stability is not reached: say why you end here.');
  }
  if (runStarted.is(entry)) {
    if (visit.point.type !== 'tap') return misfit('payload.visit', 'This protocol is for a tap.');
    if (visit.run) return misfit('payload.visit', 'The protocol was started already.');
    return findProtocol(entry.payload.protocol, entry.payload.edition) ? null : misfit('payload.protocol', 'No such protocol.');
  }
  if (clockStarted.is(entry) || stepDone.is(entry) || stepSkipped.is(entry)) return admitStep(entry, visit);
  if (analysisAdded.is(entry)) {
    if (visit.analyses.includes(entry.payload.analysis)) return misfit('payload.analysis', 'It is in the plan already.');
    return null;
  }
  if (analysisRemoved.is(entry)) return admitRemoval(entry.payload.analysis, visit);
  if (bottleFilled.is(entry) || bottleDiscarded.is(entry)) return admitBottle(entry, visit);
  return null;
}

function admitStep(entry: Entry, visit: VisitState): Misfit | null {
  const { step } = entry.payload as { step: string };
  const now = visit.run?.now;
  if (!visit.run) return misfit('payload.visit', 'Start the protocol first.');
  if (!now || now.step.id !== step) return misfit('payload.step', now ? `The step now is “${now.step.say}”.` : 'The protocol has ended.');
  if (clockStarted.is(entry)) {
    if (now.step.act.type !== 'clock') return misfit('payload.step', 'This step has no clock.');
    return now.clockFrom === null ? null : misfit('payload.step', 'Its clock is running.');
  }
  if (!stepDone.is(entry)) return null;
  const refused = refuseAnswer(now.step, entry.payload.answer);
  if (refused) return misfit(`payload.${refused.path}`, refused.message);
  if (now.step.act.type === 'fill' && visit.bottles.some((bottle) => bottle.state === 'empty' && isFilledByProtocol(visit, bottle.rule))) {
    return misfit('payload.step', 'Fill the bottle first.');
  }
  const why = departs(now, entry.payload.answer, millis(entry.at));
  return why && !entry.payload.departure ? misfit('payload.departure', `${why} Say why.`) : null;
}

function admitRemoval(id: VisitState['analyses'][number], visit: VisitState): Misfit | null {
  if (!visit.analyses.includes(id)) return misfit('payload.analysis', 'It is not in the plan.');
  const stay = rulesFor(visit.analyses.filter((other) => other !== id));
  const used = visit.bottles.find((bottle) => bottle.state !== 'empty' && !stay.includes(bottle.rule));
  return used ? misfit('payload.analysis', `Bottle ${used.id} was ${used.state} already: ${analysis(id).name} stays in the plan.`) : null;
}

function admitBottle(entry: Entry, visit: VisitState): Misfit | null {
  const { bottle: id } = entry.payload as { bottle: string };
  const bottle = visit.bottles.find((candidate) => candidate.id === id);
  if (!bottle) return misfit('payload.bottle', 'No such bottle at this point.');
  if (bottle.state === 'discarded') return misfit('payload.bottle', 'This bottle was thrown away.');
  if (bottle.stage === 'handed-over' || bottle.accepted !== null) return misfit('payload.bottle', 'This bottle was handed over.');
  if (!bottleFilled.is(entry)) return null;
  if (bottle.state === 'filled') return misfit('payload.bottle', 'This bottle is filled already.');
  if (visit.purge && !visit.purge.ended) return misfit('payload.bottle', 'End the purge first, with the flow cell detached.');
  const act = visit.run?.now?.step.act;
  if (isFilledByProtocol(visit, bottle.rule) && act?.type !== 'fill' && !visit.run?.finished)
    return misfit('payload.bottle', 'The protocol is not at its filling step.');
  return null;
}

function admitHandOver(entry: Entry, round: RoundState): Misfit | null {
  if (!handedOver.is(entry)) return null;
  const { bottles, to } = entry.payload;
  if (round.plan.lab && to !== round.plan.lab.id) return misfit('payload.to', 'The round was planned for another lab.');
  const ids = bottles.map((line) => line.bottle);
  if (new Set(ids).size !== ids.length) return misfit('payload.bottles', 'A bottle is on the form twice.');
  const wrong = ids.find((id) => !round.bottles.some((bottle) => bottle.id === id && bottle.stage === 'filled' && !bottle.lost));
  return wrong ? misfit('payload.bottles', `${wrong} is not in the cooler: not filled, or handed over already.`) : null;
}

function admitStrike(entry: Entry, book: readonly Entry[], round: RoundState | null): Misfit[] {
  if (!struck.is(entry)) return [];
  const { entry: id, instead } = entry.payload;
  const target = book.find((candidate) => candidate.id === id);
  const kind = target && kindIn(target.book, target.kind);
  if (!target || !kind) return [misfit('payload.entry', 'There is no such entry in this book.')];
  if (!kind.strikeable) return [misfit('payload.entry', `“${kind.title}” cannot be struck.`)];
  if (book.some((candidate) => struck.is(candidate) && candidate.payload.entry === id && candidate.payload.instead === undefined)) {
    return [misfit('payload.entry', 'This entry is struck already.')];
  }
  const handed = round?.handOvers.some((handOver) => millis(target.at) <= handOver.at);
  if (handed && (bottleFilled.is(target) || bottleDiscarded.is(target))) return [misfit('payload.entry', 'The bottles were handed over.')];
  if (instead === undefined) return [];
  const parsed = kind.payload.safeParse(instead);
  if (!parsed.success) return parsed.error.issues.map((issue) => misfit(['payload.instead', ...issue.path].join('.'), issue.message));
  const visitOf = (payload: unknown) => (payload as { visit?: string }).visit;
  return visitOf(instead) === visitOf(target.payload) ? [] : [misfit('payload.instead.visit', 'A correction stays at its point.')];
}

/**
 * Judges whether an entry, whose payload its schema has accepted, fits a book as it stands. Judgements of the field are
 * not made here: a strange reading is data. Empty when it fits.
 */
export function admit(entry: Entry, book: readonly Entry[], round: RoundState | null): Misfit[] {
  if (entry.book === 'org') return [];
  if (roundPlanned.is(entry)) return round ? [misfit('kind', 'This round is planned already.')] : [];
  if (!round) return [misfit('book', 'There is no such round.')];
  if (struck.is(entry)) return admitStrike(entry, book, round);
  if (bottlesPacked.is(entry)) {
    const unknown = entry.payload.bottles.find((id) => !round.bottles.some((bottle) => bottle.id === id));
    return unknown ? [misfit('payload.bottles', `${unknown} is not in this round.`)] : [];
  }
  if (actionDone.is(entry)) {
    const action = round.followUps.find((candidate) => candidate.id === entry.payload.action);
    if (!action) return [misfit('payload.action', 'There is no such follow-up.')];
    return action.done ? [misfit('payload.action', 'This follow-up is done.')] : [];
  }
  if (labAnswered.is(entry)) {
    const handOver = round.handOvers.find((candidate) => candidate.entry === entry.payload.handOver);
    if (!handOver) return [misfit('payload.handOver', 'There is no such hand-over.')];
    return handOver.answer ? [misfit('payload.handOver', 'The lab has answered.')] : [];
  }
  if (reportReceived.is(entry) && round.reports.some((report) => report.sha256 === entry.payload.sha256)) {
    return [misfit('payload.sha256', 'This report is here already.')];
  }
  if (reportRead.is(entry) && !round.reports.some((report) => report.sha256 === entry.payload.sha256)) {
    return [misfit('payload.sha256', 'There is no such report in this round.')];
  }
  const handOver = admitHandOver(entry, round);
  if (handOver) return [handOver];

  const visitId = (entry.payload as { visit?: string }).visit;
  if (visitId === undefined) return [];
  const visit = round.visits.find((candidate) => candidate.id === visitId);
  if (!visit) return [misfit('payload.visit', 'This round has no such point.')];
  const found = admitAtVisit(entry, visit);
  return found ? [found] : [];
}

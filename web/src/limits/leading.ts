import type { JudgedResult } from '@fonte/core/limits';
import { sumsOf, type RoundVerdict, type VisitVerdict } from '@fonte/core/round';

/** A verdict as somebody sees it who looks at another of its sets first. What must be done still follows from the round's own lead. */
export function ledBy(verdict: RoundVerdict, id: string): RoundVerdict {
  const visits = verdict.visits.map((visit) => visitLedBy(visit, id));
  const sets = firstIn(verdict.sets, id);
  return sets === verdict.sets && visits.every((visit, index) => visit === verdict.visits[index]) ? verdict : { ...verdict, sets, visits };
}

/** Sets with the one of that id first; the very same where it is first already, or not among them. */
function firstIn(sets: VisitVerdict['sets'], id: string): VisitVerdict['sets'] {
  const lead = sets.find((set) => set.id === id);
  return !lead || lead === sets[0] ? sets : [lead, ...sets.filter((set) => set !== lead)];
}

function visitLedBy(visit: VisitVerdict, id: string): VisitVerdict {
  const sets = firstIn(visit.sets, id);
  if (sets === visit.sets) return visit;
  const [lead] = sets;
  const ledIn = <J extends JudgedResult>(one: J): J => {
    const own = one.others.find(({ set }) => set === lead)!;
    const others = [{ set: visit.sets[0], verdict: one.verdict }, ...one.others.filter((other) => other !== own)];
    return { ...one, verdict: own.verdict, others };
  };
  const judged = visit.judged.map(ledIn);
  return { ...visit, sets, judged, sums: sumsOf(judged, lead, visit.day), onSite: visit.onSite.map(ledIn) };
}

import type { LostBottle, RefusedForm } from '../act/index.ts';
import { deliveries, missingSince } from '../custody/index.ts';
import type { RoundBook } from './state.ts';
import type { VisitState } from './visit.ts';

/** Bottles that a lab refused, and those that were not found as the others changed hands. */
export function lostBottles(visits: readonly VisitState[], { custody }: RoundBook): LostBottle[] {
  return visits.flatMap((visit) =>
    visit.bottles.flatMap(({ id: bottle, lost }) => {
      if (lost?.how !== 'refused' && lost?.how !== 'missing') return [];
      const at =
        lost.how === 'missing'
          ? missingSince(custody, bottle)?.at
          : custody.legs.findLast(({ answer }) => answer?.bottles.some((line) => line.bottle === bottle))?.answer?.at;
      return at === undefined ? [] : [{ bottle, visit: visit.id, pointName: visit.name, how: lost.how, reason: lost.reason, at }];
    }),
  );
}

/** The forms of which a lab refused something. */
export function refusedForms(lost: readonly LostBottle[], round: RoundBook): RefusedForm[] {
  return deliveries(round.custody).flatMap(({ entry, form, answer }) => {
    const bottles = lost.filter(
      ({ bottle, how }) => how === 'refused' && answer?.bottles.some((line) => line.bottle === bottle && !line.accepted),
    );
    const [first] = bottles;
    if (!answer || !first) return [];
    const lab = [round.plan.plan?.lab, ...round.plan.labs.map((one) => one.lab)].find((one) => one?.id === form.to.lab);
    return [
      {
        handOver: entry,
        lab: lab?.name ?? form.to.name,
        reference: answer.reference,
        bottles,
        at: Math.min(...bottles.map(({ at }) => at)),
      },
    ];
  });
}

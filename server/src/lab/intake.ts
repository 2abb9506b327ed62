import type { Head } from '@fonte/core/book';
import type { HandOver } from '@fonte/core/custody';
import type { IntakeRequest } from '@fonte/core/lab';
import { requestsOf, residualFor, type RoundState } from '@fonte/core/round';
import { base } from '@fonte/core/units';

/** The form of a hand-over as the lab's desk gets it, with the head of the book, so that the lab can bear witness to it. */
export function intakeRequest(round: RoundState, handOver: HandOver, book: Head & { id: string }): IntakeRequest {
  const { form } = handOver;
  const bottles = form.bottles.map((line) => {
    const visit = round.visits.find((candidate) => candidate.bottles.some((bottle) => bottle.id === line.bottle))!;
    const bottle = visit.bottles.find((candidate) => candidate.id === line.bottle)!;
    return {
      bottle: line.bottle,
      point: visit.point.code,
      pointName: visit.name,
      rule: bottle.rule,
      collectedAt: new Date(bottle.filledAt ?? handOver.at).toISOString(),
      // A lab knows two kinds; what is spoilt is no routine sample.
      sampleType: bottle.sample === 'routine' ? ('routine' as const) : ('special' as const),
      purpose: bottle.purpose,
      residual: residualFor(visit, bottle) ?? '',
      condition: line.condition,
      requests: requestsOf(visit, bottle),
    };
  });
  return {
    handOver: handOver.entry,
    book,
    round: round.plan.code,
    system: round.plan.system,
    collector: form.releasedBy,
    handedOverAt: new Date(handOver.at).toISOString(),
    coolerTemperature: base(form.coolerTemperature),
    seal: form.seal ?? '',
    count: bottles.length,
    bottles,
  };
}

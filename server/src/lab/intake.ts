import { bottleRule } from '@fonte/core/bottles';
import { bottleConditions, type HandOver } from '@fonte/core/custody';
import type { IntakeRequest } from '@fonte/core/lab';
import { requestsOf, residualFor, type RoundState } from '@fonte/core/round';
import { base } from '@fonte/core/units';

/** The form of a hand-over as the lab's desk gets it. */
export function intakeRequest(round: RoundState, handOver: HandOver): IntakeRequest {
  const { form } = handOver;
  const bottles = form.bottles.map((line) => {
    const visit = round.visits.find((candidate) => candidate.bottles.some((bottle) => bottle.id === line.bottle))!;
    const bottle = visit.bottles.find((candidate) => candidate.id === line.bottle)!;
    return {
      bottle: line.bottle,
      point: visit.point.code,
      pointName: visit.point.name,
      rule: bottleRule(bottle.rule).name,
      collectedAt: new Date(bottle.filledAt ?? handOver.at).toISOString(),
      sampleType: visit.sample,
      residual: residualFor(visit) ?? '',
      condition: bottleConditions[line.condition],
      requests: requestsOf(visit, bottle.rule),
    };
  });
  return {
    handOver: handOver.entry,
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

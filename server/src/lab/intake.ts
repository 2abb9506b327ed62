import type { Head } from '@fonte/core/book';
import type { HandOver } from '@fonte/core/custody';
import type { IntakeRequest } from '@fonte/core/lab';
import { formLine, type RoundState } from '@fonte/core/round';
import { base } from '@fonte/core/units';

/** The form of a hand-over as the lab's desk gets it, with the head of the book, so that the lab can bear witness to it. */
export function intakeRequest(round: RoundState, handOver: HandOver, book: Head & { id: string }): IntakeRequest {
  const { form } = handOver;
  const bottles = form.bottles.map((on) => {
    const visit = round.visits.find((candidate) => candidate.bottles.some((bottle) => bottle.id === on.bottle))!;
    const bottle = visit.bottles.find((candidate) => candidate.id === on.bottle)!;
    const line = formLine(round, visit, bottle, handOver.at);
    return {
      line,
      sent: {
        bottle: on.bottle,
        box: on.box,
        set: bottle.set,
        point: bottle.blind?.code ?? visit.point.code,
        pointName: bottle.blind?.name ?? visit.name,
        kind: line.lab?.codes?.[bottle.rule] ?? bottle.rule,
        collectedAt: new Date(line.bottle.filledAt ?? handOver.at).toISOString(),
        // A lab knows two kinds; what is spoilt is no routine sample.
        sampleType: bottle.sample === 'routine' && line.occasion === null ? ('routine' as const) : ('special' as const),
        purpose: bottle.blind ? 'sample' : bottle.purpose,
        residual: line.residual ?? '',
        chlorine: line.chlorine,
        stood: typeof line.stagnation === 'number' ? line.stagnation : null,
        condition: on.condition,
        requests: [...line.requests],
        fields: { ...line.fields },
      },
    };
  });
  const fields = bottles[0]?.line.lab?.form ?? [];
  const always = Object.fromEntries(fields.flatMap(({ field, always: said }) => (said ? [[field, said]] : [])));
  return {
    handOver: handOver.entry,
    book,
    round: round.plan.code,
    system: round.plan.system,
    collector: form.from.name,
    handedOverAt: new Date(handOver.at).toISOString(),
    count: form.counted,
    said: { ...always, ...form.said },
    boxes: form.boxes.map(({ temperature, ...box }) => ({ ...box, temperature: temperature ? base(temperature) : null })),
    bottles: bottles.map(({ sent }) => sent),
  };
}

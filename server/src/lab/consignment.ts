import type { IntakeAnswer, IntakeRequest } from '@fonte/core/lab';
import { z } from 'zod';

/*
 * The contract of labs that take forms over HTTP, as this server speaks it. A lab publishes it as OpenAPI under `/openapi.json`; the
 * simulated one keeps the description in `demo/lab/openapi.json`, and a test holds both against each other.
 */

/** The form as a consignment: what is asked of the lab in its own words. */
export function consignmentOf(request: IntakeRequest) {
  return {
    submission: request.handOver,
    sender: { system: request.system, round: request.round, sampler: request.collector },
    proof: { book: request.book.id, entries: request.book.count, hash: request.book.hash },
    delivered: request.handedOverAt,
    count: request.count,
    particulars: request.said,
    boxes: request.boxes.map(({ box, name, temperature, cooling, seal, sealIs }) => ({
      id: box,
      name,
      celsius: temperature,
      onIce: cooling,
      seal,
      sealIntact: sealIs === 'whole',
    })),
    containers: request.bottles.map((bottle) => ({
      label: bottle.bottle,
      sample: bottle.set,
      box: bottle.box,
      kind: bottle.kind,
      tests: bottle.requests,
      location: { code: bottle.point, name: bottle.pointName },
      taken: bottle.collectedAt,
      class: bottle.sampleType === 'routine' ? 'compliance' : 'other',
      role: bottle.purpose,
      chlorine: { stated: bottle.residual, milligramsPerLitre: bottle.chlorine },
      stoodMinutes: bottle.stood === null ? null : bottle.stood / 60,
      state: bottle.condition,
      particulars: bottle.fields,
    })),
  };
}

/** What a lab answers about a consignment. */
export const Settlement = z.object({
  consignment: z.string().min(1).max(60),
  state: z.enum(['open', 'settled']),
  containers: z
    .array(
      z.object({ label: z.string().max(60), decision: z.enum(['taken', 'sent-back', 'open']), remark: z.string().max(300).optional() }),
    )
    .max(2000),
});

/** The answer as the book keeps it: of what is still open nothing is said. */
export function answerOf({ consignment, containers }: z.infer<typeof Settlement>): IntakeAnswer {
  return {
    reference: consignment,
    bottles: containers.flatMap(({ label, decision, remark }) =>
      decision === 'open' ? [] : [{ bottle: label, accepted: decision === 'taken', ...(remark ? { reason: remark } : {}) }],
    ),
  };
}

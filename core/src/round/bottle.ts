import type { CultureBook } from '../culture/index.ts';
import { worstSample, type SampleKind, type SampleReason, type Stage } from '../bottles/index.ts';
import {
  deliveries,
  holderOf,
  holdingOf,
  missingSince,
  type CustodyBook,
  type HandOver,
  type Holding,
  type Party,
} from '../custody/index.ts';
import type { FieldBottle } from '../fill/index.ts';
import { isReported, isStillOut, type ReadBook, type Standing } from '../read/index.ts';
import type { Lab } from '../registers/index.ts';

/** A bottle with its place in the stream. A bottle that was lost stays at the stage where it was lost. */
export interface BottleState extends FieldBottle {
  /** The labels of all vials that its sample ever had, its own among them. */
  vials: readonly string[];
  stage: Stage;
  lost: { how: 'discarded' | 'refused' | 'missing'; reason: string } | null;
  /** The lab it goes to; null where the round has none. */
  lab: Lab | null;
  /** Who has it on its way, and since when (ms); null while those who took it have it. */
  holder: { party: Party; since: number } | null;
  holding: Holding | null;
  /** Received by the lab, which ends the transport; null before. */
  accepted: boolean | null;
  /** It left for the lab, or for the own bench. */
  handedOver: boolean;
  /** It was put into the incubator of the own bench. */
  onBench: boolean;
  /** What its sample is, by the worst of its reasons. */
  sample: SampleKind;
  /** What of the protocol departs, and what that makes of the sample. */
  reasons: readonly SampleReason[];
  /** What they will be if it is filled as soon as it can be from a moment (ms) on; those that it has once it is filled. */
  foreseen: (now: number) => readonly SampleReason[];
}

interface Surroundings {
  vials: readonly string[];
  lab: Lab | null;
  custody: CustodyBook;
  /** Who has what is filled until it is passed on, where that is not us. */
  household: Party | null;
  report: ReadBook;
  standing: readonly Standing[];
  measured: boolean;
  packed: boolean;
  cultures: CultureBook;
  reasons: readonly SampleReason[];
  foreseen: BottleState['foreseen'];
}

function stageOf(bottle: FieldBottle, around: Surroundings, accepted: boolean | null, handed: boolean): Stage {
  if (bottle.state === 'filled' && handed && accepted !== false) {
    if (!isStillOut({ ...bottle, vials: around.vials }, around.report, around.standing)) return 'judged';
    // A report that says something of it, and not all that was asked for.
    if (around.standing.some((one) => isReported(one) && around.vials.includes(one.result.bottle))) return 'reported';
  }
  if (handed) return 'handed-over';
  if (bottle.state === 'filled' || bottle.filledAt !== null) return 'filled';
  if (around.measured) return 'measured';
  return around.packed || bottle.spare ? 'ready' : 'planned';
}

/** What became of a bottle that is no longer on its way, the later first. */
function lossOf(bottle: FieldBottle, refused: string | null, missing: HandOver | null): BottleState['lost'] {
  if (bottle.discarded) return { how: 'discarded', reason: bottle.discarded.reason };
  if (refused !== null) return { how: 'refused', reason: refused };
  if (!missing) return null;
  const { from, to, takenBy } = missing.form;
  return { how: 'missing', reason: `Not found when ${from.name} handed over to ${to.name || takenBy}.` };
}

/** Places a bottle of the field in the stream. */
export function bottleInStream(bottle: FieldBottle, around: Surroundings): BottleState {
  const handOver = deliveries(around.custody).findLast((candidate) => candidate.form.bottles.some((line) => line.bottle === bottle.id));
  const onBench = around.cultures.some(({ dropped, bottles }) => dropped === null && bottles.includes(bottle.id));
  const answer = handOver?.answer?.bottles.find((line) => line.bottle === bottle.id);
  const accepted = answer?.accepted ?? null;
  const missing = missingSince(around.custody, bottle.id);
  return {
    ...bottle,
    vials: around.vials,
    lost: lossOf(bottle, accepted === false ? (answer?.reason ?? 'No reason given.') : null, missing),
    lab: around.lab,
    holder:
      holderOf(around.custody, bottle.id) ??
      (around.household && bottle.filledAt !== null ? { party: around.household, since: bottle.filledAt } : null),
    sample: worstSample(around.reasons.map(({ makes }) => makes)),
    reasons: around.reasons,
    foreseen: around.foreseen,
    accepted,
    handedOver: handOver !== undefined || onBench,
    onBench,
    stage: stageOf(bottle, around, accepted, handOver !== undefined || onBench),
    holding: bottle.filledAt === null ? null : holdingOf(bottle.rule, bottle.card, bottle.filledAt, around.lab),
  };
}

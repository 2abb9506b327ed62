import type { RuleId } from '../bottles/index.ts';
import type { Entry } from '../book/index.ts';
import type { PlannedBottle } from '../plan/index.ts';
import { millis } from '../time/index.ts';
import { bottleDiscarded, bottleFilled, discardReasons } from './entries.ts';

/** A bottle in the field: empty, filled at a time, or thrown away. */
export interface FieldBottle {
  id: string;
  visit: string;
  rule: RuleId;
  /** The planned bottle whose place it takes; its own id when it is the planned one. */
  place: string;
  spare: boolean;
  state: 'empty' | 'filled' | 'discarded';
  filledAt: number | null;
  discarded: { at: number; reason: string } | null;
  /** The entry that filled or discarded it, for corrections. */
  entry: string | null;
}

/** The label of the spare that takes a bottle's place: `…-N` is followed by `…-N2`, then `…-N3`. */
export function spareId(place: string, discardedBefore: number): string {
  return `${place}${discardedBefore + 1}`;
}

function inTheField(planned: PlannedBottle, entries: readonly Entry[]): FieldBottle[] {
  const chain: FieldBottle[] = [];
  let id = planned.id;
  for (;;) {
    const filled = entries.filter(bottleFilled.is).find((entry) => entry.payload.bottle === id);
    const thrown = entries.filter(bottleDiscarded.is).find((entry) => entry.payload.bottle === id);
    const note = thrown?.payload.note;
    chain.push({
      id,
      visit: planned.visit,
      rule: planned.rule,
      place: planned.id,
      spare: id !== planned.id,
      state: thrown ? 'discarded' : filled ? 'filled' : 'empty',
      filledAt: filled ? millis(filled.at) : null,
      discarded: thrown ? { at: millis(thrown.at), reason: discardReasons[thrown.payload.reason] + (note ? `: ${note}` : '') } : null,
      entry: (thrown ?? filled)?.id ?? null,
    });
    if (!thrown) return chain;
    id = spareId(planned.id, chain.length);
  }
}

/**
 * The bottles of a round as they are now: every planned one, and after a discarded one the spare that takes its place.
 * `entries` are corrected ones of the round.
 */
export function foldFill(entries: readonly Entry[], planned: readonly PlannedBottle[]): FieldBottle[] {
  const relevant = entries.filter((entry) => bottleFilled.is(entry) || bottleDiscarded.is(entry));
  return planned.flatMap((bottle) => inTheField(bottle, relevant));
}

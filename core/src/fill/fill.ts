import type { BottleRule, PurposeId, RuleId } from '../bottles/index.ts';
import { misfit, type Ask, type Misfit, type Room } from '../book/index.ts';
import type { PlannedBottle } from '../plan/index.ts';
import { millis } from '../time/index.ts';
import type { FactId } from './facts.ts';
import { bottleDiscarded, bottleFilled, bottleLabelled, discardReasons } from './entries.ts';

/** A bottle in the field: empty, filled at a time, or thrown away. */
export interface FieldBottle {
  id: string;
  visit: string;
  rule: RuleId;
  purpose: PurposeId;
  /** The label of the bottle that is poured into this one; null where there is none. */
  supply: string | null;
  /** The bottle into which the supplied water was poured that was thrown away with it; null where it is still there, or there is none. */
  supplyWentWith: string | null;
  /** The label of the sample that it is, or is a part of. */
  set: string;
  /** The made-up point under which it goes to its lab; null where it goes under its own. */
  blind: PlannedBottle['blind'];
  /** The rule's card, of the edition that holds for the round. */
  card: BottleRule;
  /** The planned bottle whose place it takes; its own id when it is the planned one. */
  place: string;
  spare: boolean;
  state: 'empty' | 'filled' | 'discarded';
  filledAt: number | null;
  discarded: { at: number; reason: string } | null;
  /** The entry that filled or discarded it, for corrections. */
  entry: string | null;
  /** When its label was looked at or scanned (ms), and by which entry; null where it was not. */
  labelled: { at: number; entry: string } | null;
  /** What its lab calls it, where it came with a code of the lab's own. */
  code: string | null;
  /** What of it was looked at and is as it should be. */
  facts: readonly FactId[];
  /** Why it was not filtered, where it should have been. */
  unfiltered: string | null;
}

interface Done {
  at: number;
  entry: string;
}

/** What a book says of the bottles of one visit, by label. */
export interface FillBook {
  filled: ReadonlyMap<string, Done & { facts: readonly FactId[]; unfiltered: string | null }>;
  labelled: ReadonlyMap<string, Done & { code: string | null }>;
  discarded: ReadonlyMap<string, Done & { reason: string }>;
}

export interface FillAround {
  /** The bottles of the visit as they are at that time. */
  bottles: () => readonly (FieldBottle & { handedOver: boolean })[];
  /** Another bottle of the round that has this label or code, or null. */
  whoElseIs: (code: string, bottle: string) => string | null;
  /** Why this bottle may not be filled here and now, or null. */
  gate: (bottle: FieldBottle) => Misfit | null;
}

/** The label of the spare that takes a bottle's place: `…-N` is followed by `…-N2`, then `…-N3`. */
export function spareId(place: string, discardedBefore: number): string {
  return `${place}${discardedBefore + 1}`;
}

/** A planned bottle as it is now, after it the spares that took its place one after another. */
export function inTheField(planned: PlannedBottle, card: BottleRule, book: FillBook): FieldBottle[] {
  const chain: FieldBottle[] = [];
  let id = planned.id;
  let wentWith: string | null = null;
  for (;;) {
    const filled = book.filled.get(id);
    const thrown = book.discarded.get(id);
    const label = book.labelled.get(id);
    chain.push({
      id,
      visit: planned.visit,
      rule: planned.rule,
      purpose: planned.purpose,
      supply: wentWith === null ? planned.supply : null,
      supplyWentWith: wentWith,
      set: planned.set,
      blind: planned.blind,
      card,
      place: planned.id,
      spare: id !== planned.id,
      state: thrown ? 'discarded' : filled ? 'filled' : 'empty',
      filledAt: filled?.at ?? null,
      discarded: thrown ? { at: thrown.at, reason: thrown.reason } : null,
      entry: (thrown ?? filled)?.entry ?? null,
      labelled: label ? { at: label.at, entry: label.entry } : null,
      code: label?.code ?? null,
      facts: filled?.facts ?? [],
      unfiltered: filled?.unfiltered ?? null,
    });
    if (!thrown) return chain;
    // What was poured into a bottle is gone with it: no spare can be filled with it again.
    if (filled && planned.supply !== null) wentWith = id;
    id = spareId(planned.id, chain.length);
  }
}

/** The bottles of a visit that are filled beside its runs. */
interface FillView {
  blanks: readonly FieldBottle[];
  /** What no run that is still to be finished fills. */
  free: readonly FieldBottle[];
}

export const fillRoom: Room<FillBook, FillAround, FillView> = {
  // Blanks first: nothing of the point's water may have been about.
  next: { blanks: ({ blanks }) => askFill(blanks, 'fill-blanks'), fill: ({ free }) => askFill(free, 'fill') },
  kinds: [bottleFilled, bottleDiscarded, bottleLabelled],
  empty: { filled: new Map(), discarded: new Map(), labelled: new Map() },
  fits: (_, entry, around) => {
    const { bottle: id } = entry.payload as { bottle: string };
    const bottle = around.bottles().find((candidate) => candidate.id === id);
    if (!bottle) return misfit('no-such-bottle', 'payload.bottle');
    if (bottle.state === 'discarded') return misfit('thrown-away', 'payload.bottle');
    if (bottle.handedOver) return misfit('handed-over', 'payload.bottle');
    if (bottleLabelled.is(entry)) {
      const { code } = entry.payload;
      const other = code === undefined ? null : around.whoElseIs(code, id);
      return other === null ? null : misfit('code-of-other', 'payload.code', { code: code!, bottle: other });
    }
    if (!bottleFilled.is(entry)) return null;
    const { stated } = entry.payload;
    // Only what was is stated, not what will be.
    if (stated && millis(stated.collected) > millis(entry.at)) return misfit('not-yet', 'payload.stated.collected');
    return bottle.state === 'filled' ? misfit('filled-already', 'payload.bottle') : around.gate(bottle);
  },
  advance: (book, entry) => {
    const done = { at: millis(entry.at), entry: entry.id };
    if (bottleFilled.is(entry)) {
      const { bottle, stated, facts = [], unfiltered = null } = entry.payload;
      const filled = { ...done, at: stated ? millis(stated.collected) : done.at, facts, unfiltered };
      return { ...book, filled: new Map(book.filled).set(bottle, filled) };
    }
    if (bottleLabelled.is(entry)) {
      const { bottle, code } = entry.payload;
      // What the lab calls it stays, also where its label is looked at again.
      const known = code ?? book.labelled.get(bottle)?.code ?? null;
      return { ...book, labelled: new Map(book.labelled).set(bottle, { ...done, code: known }) };
    }
    if (!bottleDiscarded.is(entry)) return book;
    const { bottle, reason, note } = entry.payload;
    const said = discardReasons[reason] + (note ? `: ${note}` : '');
    return { ...book, discarded: new Map(book.discarded).set(bottle, { ...done, reason: said }) };
  },
};

/** What is asked for next of bottles that are filled freely, or null when none is empty. */
function askFill(bottles: readonly FieldBottle[], code: 'fill' | 'fill-blanks'): Ask | null {
  const count = bottles.filter((bottle) => bottle.state === 'empty').length;
  return count > 0 ? { code, data: { count } } : null;
}

import type { Entry } from '../book/index.ts';
import { foldBook, followBook, look, type Folding, type RoundState } from './fold.ts';
import { foreseen, type Foreseen } from './foresee.ts';

/** A book as far as one of its entries. */
interface Page {
  folding: Folding;
  /** Laid out once somebody asks. */
  round?: RoundState | null;
}

/** So many entries back a book can change without being read again as a whole: what was sent last is numbered one after the other. */
const kept = 64;

const isSameTo = (count: number, one: readonly Entry[], other: readonly Entry[]) => {
  for (let place = 0; place < count; place += 1) if (one[place] !== other[place]) return false;
  return true;
};

/**
 * Reads one book again and again while it grows. What was read stays read: an entry that is new, or was numbered by the server in the
 * meantime, costs what it says and not the whole book. The answer is that of `fold` and of `foresee`, whatever was read before.
 * @example
 * const reader = new BookReader();
 * reader.read(entries)?.visits
 * reader.foresee(entries, next).misfit // nothing of `next` stays
 */
export class BookReader {
  private entries: readonly Entry[] = [];
  /** The book after the last of its entries, and after each of those before it as far as they are kept. */
  private pages: Page[] = [];

  /** The state of a round; null for a book whose round was not planned. Entries are told apart by identity: none is changed in place. */
  read(entries: readonly Entry[]): RoundState | null {
    return this.laidOut(this.pageOf(entries));
  }

  /** What would become of a book with one more entry. */
  foresee(entries: readonly Entry[], entry: Entry): Foreseen {
    const before = this.read(entries);
    return foreseen(before, this.read([...entries, entry]), entry);
  }

  private laidOut(page: Page): RoundState | null {
    if (page.round === undefined) page.round = look(page.folding);
    return page.round;
  }

  private pageOf(entries: readonly Entry[]): Page {
    for (let back = 0; back < this.pages.length; back += 1) {
      const count = this.entries.length - back;
      if (count > entries.length || !isSameTo(count, this.entries, entries)) continue;
      const pages = this.pages.slice(0, this.pages.length - back);
      return this.turn(entries, this.followed(pages, entries.slice(count)));
    }
    return this.turn(entries, null);
  }

  /** The pages of what follows; null where the book has to be read as a whole. */
  private followed(pages: Page[], added: readonly Entry[]): Page[] | null {
    for (const entry of added) {
      const folding = followBook(pages.at(-1)!.folding, entry);
      if (!folding) return null;
      pages.push({ folding });
    }
    return pages;
  }

  private turn(entries: readonly Entry[], pages: Page[] | null): Page {
    this.entries = [...entries];
    this.pages = (pages ?? [{ folding: foldBook(entries) }]).slice(-kept);
    return this.pages.at(-1)!;
  }
}

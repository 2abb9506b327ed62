import { canonicalJson, writeEntry, type BookEntry, type Entry, type EntryKind } from '@fonte/core/book';
import { admit, fold, type RoundState, type VisitState } from '@fonte/core/round';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useOutletContext } from 'react-router';
import useSWR from 'swr';
import type { z } from 'zod';
import { ApiProblem, explain, get, NoConnection, post } from '../app/api.ts';
import { useSession } from '../app/session.ts';
import { now, offsetAt } from '../time/clock.ts';

const held = new Map<string, BookEntry[]>();

function merge(book: string, added: readonly BookEntry[]): BookEntry[] {
  const known = held.get(book) ?? [];
  const last = known.at(-1)?.seq ?? 0;
  const fresh = added.filter((entry) => entry.seq > last).sort((a, b) => a.seq - b.seq);
  // A gap means that somebody else wrote in between: the next reading brings what is missing.
  const next = fresh.filter((entry, index) => entry.seq === last + index + 1);
  if (next.length > 0) held.set(book, [...known, ...next]);
  return held.get(book) ?? known;
}

/** Reads what is new in a book and returns all of it. */
async function readBook(book: string): Promise<BookEntry[]> {
  const last = held.get(book)?.at(-1)?.seq ?? 0;
  return merge(book, await get<BookEntry[]>(`/api/books/${book}/entries?after=${last}`));
}

/**
 * Judges an entry as the server will, by the same schemas and rules, so that a refusal comes before anything moves on
 * the page. @throws ApiProblem
 */
function judge(kind: EntryKind<string, z.ZodType>, entry: Entry, entries: readonly Entry[], round: RoundState | null): void {
  const parsed = kind.payload.safeParse(entry.payload);
  const errors = parsed.success
    ? admit({ ...entry, payload: parsed.data }, entries, round)
    : parsed.error.issues.map((issue) => ({ path: ['payload', ...issue.path].join('.'), message: issue.message }));
  if (errors.length > 0) throw new ApiProblem(422, 'The entry was not accepted.', errors);
}

export type Append = <K extends string, S extends z.ZodType>(kind: EntryKind<K, S>, payload: z.input<S>) => Promise<void>;

export interface RoundBook {
  id: string;
  entries: readonly Entry[];
  round: RoundState;
  /** Writes an entry; it shows at once and is taken back if the server refuses it. @throws ApiProblem, NoConnection */
  append: Append;
  /** Why the last entry was taken back, where the page had moved on already; null once one is written. */
  trouble: string | null;
  refresh: () => Promise<void>;
}

/** A round's book, followed while it is open: two tabs see the same. */
export function useRoundBook(id: string) {
  const { author } = useSession();
  const { data, error, mutate } = useSWR<readonly Entry[]>(['book', id], () => readBook(id), { refreshInterval: 4000 });
  const round = useMemo(() => (data ? fold(data) : null), [data]);
  /** Entries whose fate is not known: sent again under the same id, so that they cannot be doubled. */
  const unsure = useRef(new Map<string, Entry>());

  const [trouble, setTrouble] = useState<string | null>(null);

  const append = useCallback<Append>(
    async (kind, payload) => {
      const key = `${kind.kind} ${canonicalJson(payload)}`;
      const moment = now();
      const entry = unsure.current.get(key) ?? writeEntry({ book: id, author, now: moment, offset: offsetAt(moment) }, kind, payload);
      judge(kind, entry, data ?? [], round);
      const send = async () => {
        try {
          const written = await post<BookEntry>(`/api/books/${id}/entries`, entry);
          unsure.current.delete(key);
          merge(id, [written]);
          setTrouble(null);
          return await readBook(id);
        } catch (failure) {
          if (failure instanceof NoConnection) unsure.current.set(key, entry);
          else unsure.current.delete(key);
          setTrouble(explain(failure));
          throw failure;
        }
      };
      await mutate(send, { optimisticData: (current) => [...(current ?? []), entry], rollbackOnError: true, revalidate: false });
    },
    [author, data, id, mutate, round],
  );

  const refresh = useCallback(async () => {
    await mutate();
  }, [mutate]);
  return { id, entries: data, round, error: error as unknown, append, trouble, refresh };
}

/** The round that the page stands in; only below the round's shell. */
export function useRound(): RoundBook {
  return useOutletContext<RoundBook>();
}

export function visitOf(round: RoundState, id: string | undefined): VisitState | undefined {
  return round.visits.find((visit) => visit.id === id);
}

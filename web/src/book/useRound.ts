import { bookEntries, clockAllowance, writeEntry, type BookEntry, type Entry, type EntryKind } from '@fonte/core/book';
import { foresee, fold, sayMisfit, type Consequence, type RoundState, type VisitState } from '@fonte/core/round';
import { millis } from '@fonte/core/time';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useOutletContext } from 'react-router';
import useSWR from 'swr';
import type { z } from 'zod';
import { ApiProblem, call, explain, NoConnection } from '../api/call.ts';
import { deviceId, useSession } from '../session/session.ts';
import { now, offsetAt } from '../time/clock.ts';
import { put, subscribe, waiting } from './outbox.ts';
import { arrivedIn, send } from './send.ts';

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
  return merge(book, await call(bookEntries, { in: { book }, query: { after: last } }));
}

interface AppendOptions {
  /** The visit that the entry belongs to. */
  at?: string | null;
  /** The id that a form keeps for the entry it makes: the same form writes it once, however often it is sent. */
  id?: string;
  /** Called once the entry is kept on the device: the form may take the next. */
  kept?: () => void;
}

export type Append = <K extends string, S extends z.ZodType>(
  kind: EntryKind<K, S>,
  payload: z.input<S>,
  options?: AppendOptions,
) => Promise<void>;

export interface RoundBook {
  id: string;
  entries: readonly Entry[];
  round: RoundState;
  /** Writes an entry: it is kept on the device, shows at once, and is sent. @throws ApiProblem when it does not fit or is refused */
  append: Append;
  /** What else an entry would change; told before it is written. */
  consequencesOf: <K extends string, S extends z.ZodType>(
    kind: EntryKind<K, S>,
    payload: z.input<S>,
    options?: AppendOptions,
  ) => Consequence[];
  /** Entries that only this device has so far. */
  unsent: number;
  /** Why an entry was refused by the server, after the page had shown it; null once another is written. */
  trouble: string | null;
  refresh: () => Promise<void>;
}

/** The moment at which an entry is written: the device's time, and never before what the person has before the eyes. */
function momentAfter(entries: readonly Entry[]): number {
  const moment = now();
  const last = Math.max(0, ...entries.slice(-50).map((entry) => millis(entry.at)));
  return last >= moment && last - moment <= clockAllowance ? last + 1 : moment;
}

/** A round's book, followed while it is open: two tabs see the same. */
export function useRoundBook(id: string) {
  const { author } = useSession();
  const { data: written, error, mutate } = useSWR<readonly BookEntry[]>(['book', id], () => readBook(id), { refreshInterval: 4000 });
  const unsent = useSyncExternalStore(subscribe, () => waiting(id));
  const [trouble, setTrouble] = useState<string | null>(null);

  const data = useMemo(() => {
    if (!written) return undefined;
    const known = new Set(written.map((entry) => entry.id));
    const add = (entry: Entry) => (known.has(entry.id) ? [] : (known.add(entry.id), [entry]));
    return [...(written as readonly Entry[]), ...arrivedIn(id).flatMap(add), ...unsent.flatMap(add)];
  }, [id, written, unsent]);
  const round = useMemo(() => (data ? fold(data) : null), [data]);

  const flush = useCallback(async () => {
    const { written: stored, refused } = await send(id);
    if (stored.length > 0) await mutate(merge(id, stored), { revalidate: merge(id, stored).at(-1)?.seq !== stored.at(-1)?.seq });
    if (refused[0]) throw refused[0].problem;
  }, [id, mutate]);

  // What waited when the page was opened, or could not be sent, is sent when there is a connection.
  useEffect(() => {
    if (unsent.length === 0) return;
    const attempt = () => void flush().catch((failure: unknown) => setTrouble(failure instanceof ApiProblem ? explain(failure) : null));
    const timer = setInterval(attempt, 4000);
    window.addEventListener('online', attempt);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', attempt);
    };
  }, [unsent.length, flush]);

  const make = useCallback(
    <K extends string, S extends z.ZodType>(kind: EntryKind<K, S>, payload: z.input<S>, { at = null, id: own }: AppendOptions = {}) => {
      const parsed = kind.payload.safeParse(payload);
      if (!parsed.success) {
        const errors = parsed.error.issues.map((issue) => ({ path: ['payload', ...issue.path].join('.'), message: issue.message }));
        throw new ApiProblem(422, 'The entry was not accepted.', errors);
      }
      const moment = momentAfter(data ?? []);
      const pen = { book: id, author, device: deviceId(), now: moment, offset: offsetAt(moment) };
      return writeEntry(pen, kind, parsed.data as z.input<S>, { visit: at, ...(own ? { id: own } : {}) }) as Entry;
    },
    [author, data, id],
  );

  const append = useCallback<Append>(
    async (kind, payload, options = {}) => {
      // The form that made this entry was sent before, and the answer was lost.
      const isKnown = options.id !== undefined && (data ?? []).some((entry) => entry.id === options.id);
      if (!isKnown) {
        const entry = make(kind, payload, options);
        const { misfit } = foresee(data ?? [], entry);
        if (misfit) throw new ApiProblem(422, 'The entry does not fit.', [{ path: misfit.field, message: sayMisfit(misfit) }]);
        put(entry);
      }
      options.kept?.();
      setTrouble(null);
      try {
        await flush();
      } catch (failure) {
        // Whether it was written is not known: it stays on the device and is sent again.
        if (failure instanceof NoConnection || (failure instanceof ApiProblem && failure.status >= 500)) return;
        setTrouble(explain(failure));
        throw failure;
      }
    },
    [data, flush, make],
  );

  const consequencesOf = useCallback<RoundBook['consequencesOf']>(
    (kind, payload, options) => {
      try {
        return foresee(data ?? [], make(kind, payload, options)).consequences;
      } catch {
        // What is not whole yet has no consequences.
        return [];
      }
    },
    [data, make],
  );

  const refresh = useCallback(async () => {
    await mutate();
  }, [mutate]);
  return { id, entries: data, round, error: error as unknown, append, consequencesOf, unsent: unsent.length, trouble, refresh };
}

/** The round that the page stands in; only below the round's shell. */
export function useRound(): RoundBook {
  return useOutletContext<RoundBook>();
}

export function visitOf(round: RoundState, id: string | undefined): VisitState | undefined {
  return round.visits.find((visit) => visit.id === id);
}

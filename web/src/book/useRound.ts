import { clockAllowance, hasSameWords, type BookEntry, type Entry, type EntryKind } from '@fonte/core/book';
import { BookReader, inPresentVersion, sayMisfit, type Consequence, type RoundState, type VisitState } from '@fonte/core/round';
import { millis } from '@fonte/core/time';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useOutletContext } from 'react-router';
import useSWR from 'swr';
import type { z } from 'zod';
import { ApiProblem, explain, IdTaken } from '../api/call.ts';
import { useMe } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { readBook, shownOf } from './held.ts';
import { inOutbox, outboxRead, subscribe, waiting } from './outbox.ts';
import { draftOf, penned } from './pen.ts';
import { writeOnce } from './send.ts';

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

async function open(book: string): Promise<readonly BookEntry[]> {
  await outboxRead();
  return readBook(book);
}

const parsedBy = <S extends z.ZodType>(kind: { payload: S }, payload: z.input<S>): z.input<S> => {
  const parsed = kind.payload.safeParse(payload);
  if (parsed.success) return parsed.data as z.input<S>;
  const errors = parsed.error.issues.map((issue) => ({ path: ['payload', ...issue.path].join('.'), message: issue.message }));
  throw new ApiProblem(422, 'The entry was not accepted.', errors);
};

/** What was refused of a book after it had been shown as written. */
function refusalOf(book: string): string | null {
  const found = inOutbox().find((one) => one.book === book && one.state === 'refused');
  return found?.problem ? found.problem.errors.map(({ message }) => message).join(' ') || found.problem.title : null;
}

/** Entries of the household without their doubt: the same object each time, as a reader tells them apart by it. */
const undoubted = new WeakMap<Entry, Entry>();

/** What a household wrote holds for itself, while it waits for somebody to take it over. */
function asOwn(entry: Entry): Entry {
  const { doubt, ...held } = entry as BookEntry;
  if (doubt !== 'from-household') return entry;
  if (!undoubted.has(entry)) undoubted.set(entry, held);
  return undoubted.get(entry)!;
}

/** What stands in a book at this moment: what was acknowledged since it was read, too, and what only this device has. */
function entriesNow(id: string, isHousehold: boolean): Entry[] {
  const written: readonly Entry[] = shownOf(id);
  const known = new Set(written.map((entry) => entry.id));
  const all = [...written, ...waiting(id).filter((entry) => !known.has(entry.id))];
  return isHousehold ? all.map(asOwn) : all;
}

/** A round's book, followed while it is open: two tabs see the same. */
export function useRoundBook(id: string) {
  const { id: author, role } = useMe();
  const isHousehold = role === 'householder';
  const { data: read, error, mutate } = useSWR<readonly BookEntry[]>(['book', id], () => open(id), { refreshInterval: 4000 });
  const unsent = useSyncExternalStore(subscribe, () => waiting(id));
  const refusal = useSyncExternalStore(subscribe, () => refusalOf(id));
  const [trouble, setTrouble] = useState<string | null>(null);

  // What stands in it hangs on what was read and on what waits.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const data = useMemo(() => (read ? entriesNow(id, isHousehold) : undefined), [id, isHousehold, read, unsent]);
  const reader = useMemo(() => new BookReader(), []);
  const round = useMemo(() => (data ? reader.read(data) : null), [data, reader]);

  const count = unsent.length;
  useEffect(() => {
    void mutate();
  }, [count, mutate]);

  const append = useCallback<Append>(
    async (kind, payload, { at = null, id: own, kept } = {}) => {
      // Not as the page shows it: one who writes several in a row has written the first of them by now.
      const before = entriesNow(id, isHousehold);
      const writing = { book: id, author, moment: momentAfter(before), visit: at, ...(own ? { id: own } : {}) };
      const entry = await penned(kind, parsedBy(kind, payload), writing);
      const standing = own === undefined ? undefined : before.find((one) => one.id === own);
      if (standing && !hasSameWords(inPresentVersion(standing), entry)) throw new IdTaken();
      // The form that made this entry was sent before, and the answer was lost.
      if (standing) return kept?.();
      // Somebody who did not know it may write; whoever sees that the round was abandoned resumes it first, and says why.
      if (kind.stands === 'at-visit' && !isHousehold && reader.read(before)?.givenUp)
        throw new ApiProblem(422, 'This round was abandoned. Resume it on its first page first, and say why.', []);
      const { misfit } = reader.foresee(before, entry);
      if (misfit) throw new ApiProblem(422, 'The entry does not fit.', [{ path: misfit.field, message: sayMisfit(misfit) }]);
      setTrouble(null);
      try {
        await writeOnce(entry, kept);
      } catch (failure) {
        setTrouble(explain(failure));
        throw failure;
      }
    },
    [author, id, isHousehold, reader],
  );

  const consequencesOf = useCallback<RoundBook['consequencesOf']>(
    (kind, payload, { at = null } = {}) => {
      try {
        const writing = { book: id, author, moment: momentAfter(data ?? []), visit: at };
        return reader.foresee(data ?? [], draftOf(kind, parsedBy(kind, payload), writing)).consequences;
      } catch {
        // What is not whole yet has no consequences.
        return [];
      }
    },
    [author, data, id, reader],
  );

  const refresh = useCallback(async () => {
    await mutate();
  }, [mutate]);
  return { id, entries: data, round, error: error as unknown, append, consequencesOf, unsent: count, trouble: trouble ?? refusal, refresh };
}

/** The round that the page stands in; only below the round's shell. */
export function useRound(): RoundBook {
  return useOutletContext<RoundBook>();
}

export function visitOf(round: RoundState, id: string | undefined): VisitState | undefined {
  return round.visits.find((visit) => visit.id === id);
}

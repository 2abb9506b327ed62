import { z } from 'zod';
import { Instant } from '../time/index.ts';
import { canonicalJson } from './chain.ts';
import { Id, inOrderOfWork, isBefore, type BookEntry, type Doubt, type Entry } from './entry.ts';
import { entryKind, upgraded, type AnyKind } from './kind.ts';
import { misfit, type Aside, type Misfit } from './misfit.ts';
import { field } from '../roles/index.ts';

/** What should have stood there: other words, another time, another visit, or several of them. */
const Instead = z
  .object({
    payload: z.unknown().optional(),
    /** The version of the kind that the payload is written in. */
    version: z.number().int().min(1).max(1000).optional(),
    at: Instant.optional(),
    visit: Id.optional(),
    /** An entry that was doubted when it came holds as it stands. */
    holds: z.literal(true).optional(),
  })
  .refine((instead) => Object.values(instead).some((said) => said !== undefined), {
    error: 'Say what should stand there.',
  })
  .refine((instead) => (instead.payload === undefined) === (instead.version === undefined), {
    path: ['version'],
    error: 'A payload names its version.',
  });

/**
 * A correction names the entry it strikes and says why; with `instead` something else stands in its place. The struck
 * entry stays in the book and stays readable.
 */
export const struck = entryKind(
  'struck',
  'Correction',
  z.object({
    entry: Id,
    /** The kind of the entry, so that what stands instead can be read before the entry itself has arrived. */
    kind: z.string().min(1).max(40),
    reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(500),
    instead: Instead.optional(),
  }),
  { stands: 'either', by: field, correction: 'strike' },
);
export type Correction = Entry<'struck', z.infer<typeof struck.payload>>;

/** The correction that acts upon an entry. */
export interface Strike {
  by: Correction;
  reason: string;
  /** Whether something stands in its place. */
  replaced: boolean;
}

/** What stands once all corrections are applied. */
export interface Standing<E extends Entry = Entry> {
  /** In the order of work; a corrected entry keeps its id. */
  entries: E[];
  /** By the id of the struck entry. */
  strikes: ReadonlyMap<string, Strike>;
  aside: Aside<E>[];
}

/** Corrections of a circle strike one another: which of them stands cannot be told. */
function inCircles(corrections: ReadonlyMap<string, Correction>): ReadonlySet<string> {
  const circles = new Set<string>();
  const seen = new Set<string>();
  for (const start of corrections.keys()) {
    const path: string[] = [];
    for (let id: string | undefined = start; id !== undefined && corrections.has(id); id = corrections.get(id)!.payload.entry) {
      const met = path.indexOf(id);
      if (met >= 0) for (const one of path.slice(met)) circles.add(one);
      if (met >= 0 || seen.has(id)) break;
      path.push(id);
    }
    for (const id of path) seen.add(id);
  }
  return circles;
}

/** An entry as a correction would have it. */
function replaced<E extends Entry>(entry: E, kind: AnyKind, { instead }: Correction['payload']): E {
  const payload = instead?.payload === undefined ? entry.payload : upgraded(kind, instead.version!, instead.payload);
  const at = instead?.at ?? entry.at;
  const { doubt: _, ...held } = entry as E & { doubt?: Doubt };
  return { ...(held as E), payload, at, visit: instead?.visit ?? entry.visit, ...(at === entry.at ? {} : { written: entry.at }) };
}

function misfitOf(correction: Correction, target: Entry | undefined, kind: AnyKind | null): Misfit | null {
  const { instead } = correction.payload;
  if (!target) return misfit('no-such-entry', 'payload.entry');
  if (!kind || target.kind !== correction.payload.kind) return misfit('other-kind', 'payload.kind');
  if (instead?.holds && (target as Partial<BookEntry>).doubt === undefined) return misfit('not-doubted', 'payload.instead.holds');
  if (instead?.holds && Object.keys(instead).length === 1) return null;
  if (kind.correction === 'none') return misfit('cannot-be-struck', 'payload.entry', { title: kind.title });
  if (instead && kind.correction !== 'replace') return misfit('only-struck', 'payload.instead', { title: kind.title });
  if (instead?.visit !== undefined && target.visit === null) return misfit('no-visit', 'payload.instead.visit');
  return (instead?.version ?? 1) > kind.version ? misfit('newer-version', 'payload.instead.version') : null;
}

const says = ({ payload, at, visit, ...entry }: Entry) =>
  canonicalJson({ payload, at, visit, doubt: (entry as Partial<BookEntry>).doubt ?? null });

/**
 * Applies the corrections of a book. Of two corrections of one entry the later written stands; a correction that is itself
 * struck does nothing. The result is the same in whatever order the entries are given.
 * @param entries with payloads of their kinds' present versions
 */
export function standing<E extends Entry>(entries: readonly E[], kindOf: (name: string) => AnyKind | null): Standing<E> {
  const written = entries.filter((entry): entry is E & Correction => struck.is(entry));
  if (written.length === 0) return { entries: inOrderOfWork(entries), strikes: new Map(), aside: [] };

  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  const corrections = new Map(written.map((entry) => [entry.id, entry]));
  const circles = inCircles(corrections);
  const aside: Aside<E>[] = [];
  const upon = new Map<string, (E & Correction)[]>();
  for (const correction of inOrderOfWork(written)) {
    const target = byId.get(correction.payload.entry);
    const why = circles.has(correction.id)
      ? misfit('circle', 'payload.entry')
      : misfitOf(correction, target, target ? kindOf(target.kind) : null);
    if (why) aside.push({ entry: correction, misfit: why });
    else upon.set(target!.id, [...(upon.get(target!.id) ?? []), correction]);
  }

  const known = new Map<string, boolean>();
  /** Whether a correction stands: no other that stands strikes it. There are no circles left, so this ends. */
  const stands = (id: string): boolean => {
    const told = known.get(id) ?? !(upon.get(id) ?? []).some((one) => stands(one.id));
    known.set(id, told);
    return told;
  };
  const strikes = new Map<string, Strike>();
  const effective: E[] = [];
  for (const entry of entries) {
    if (struck.is(entry)) {
      const by = upon.get(entry.id)?.find((one) => stands(one.id));
      if (by) strikes.set(entry.id, { by, reason: by.payload.reason, replaced: false });
      continue;
    }
    let now: E | null = entry;
    for (const correction of (upon.get(entry.id) ?? []).filter((one) => stands(one.id))) {
      const next: E | null = correction.payload.instead ? replaced(entry, kindOf(entry.kind)!, correction.payload) : null;
      if (next && now && says(next) === says(now)) {
        aside.push({ entry: correction, misfit: misfit('changes-nothing', 'payload.instead') });
        continue;
      }
      now = next;
      strikes.set(entry.id, { by: correction, reason: correction.payload.reason, replaced: next !== null });
    }
    if (now) effective.push(now);
  }
  aside.sort((a, b) => (isBefore(a.entry, b.entry) ? -1 : 1));
  return { entries: inOrderOfWork(effective), strikes, aside };
}

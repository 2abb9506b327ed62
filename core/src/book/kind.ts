import type { z } from 'zod';
import '../schemas/index.ts';
import type { Entry } from './entry.ts';
import type { Writer } from '../roles/index.ts';

/** The schema of a version that is no longer written, and how its payload becomes one of the next version. */
export interface EarlierVersion {
  payload: z.ZodType;
  upgrade: (payload: never) => unknown;
}

/**
 * A kind of entry: its name, its version and schema, where it stands and who may write it. Each room declares its own and
 * reads its entries back with `is`, so the schema is written once.
 */
export interface EntryKind<K extends string, S extends z.ZodType> {
  kind: K;
  version: number;
  payload: S;
  /** What a person calls it, for the field book and messages. */
  title: string;
  /** Whether an entry names a visit, none, or that of the entry it is about. */
  stands: 'at-visit' | 'in-book' | 'either';
  by: readonly Writer[];
  /** Who makes the payload: the device, or the server from what it keeps, in the name of whoever asked for it. */
  madeBy: 'device' | 'server';
  /** What a correction may do to it: nothing, strike it, or put other words or another time in its place. */
  correction: 'none' | 'strike' | 'replace';
  /** Versions 1, 2, … up to the one before the present. */
  earlier: readonly EarlierVersion[];
  /** The hashes of the kept files that a payload names. */
  files: (payload: z.infer<S>) => readonly string[];
  is: (entry: Entry) => entry is Entry<K, z.infer<S>>;
}

// What a kind says of its own payloads cannot be asked with those of another.
export type AnyKind = Omit<EntryKind<string, z.ZodType>, 'files'> & { files: (payload: never) => readonly string[] };

type Options<P> = Pick<AnyKind, 'stands' | 'by'> &
  Partial<Pick<AnyKind, 'madeBy' | 'correction' | 'earlier'>> & { files?: (payload: P) => readonly string[] };

/** For kinds whose payloads name no file. */
export const noFiles = (): readonly string[] => [];

export function entryKind<K extends string, S extends z.ZodType>(
  kind: K,
  title: string,
  payload: S,
  { stands, by, madeBy = 'device', correction = 'none', earlier = [], files = noFiles }: Options<z.infer<S>>,
): EntryKind<K, S> {
  return {
    kind,
    title,
    payload,
    stands,
    by,
    madeBy,
    correction,
    earlier,
    files,
    version: earlier.length + 1,
    is: (entry): entry is Entry<K, z.infer<S>> => entry.kind === kind,
  };
}

/** What became of a payload: parsed in its own version, of a newer version than this build knows, or malformed. */
export type PayloadReading = { state: 'known'; payload: unknown } | { state: 'newer' } | { state: 'malformed'; error: z.ZodError };

/** Reads a payload by the schema of the version it is written in. Only what the schema names is kept. */
export function readPayload(kind: AnyKind, version: number, payload: unknown): PayloadReading {
  if (version > kind.version) return { state: 'newer' };
  const schema = version === kind.version ? kind.payload : kind.earlier[version - 1]!.payload;
  const parsed = schema.safeParse(payload);
  return parsed.success ? { state: 'known', payload: parsed.data } : { state: 'malformed', error: parsed.error };
}

/** A payload of an earlier version as one of the present. */
export function upgraded(kind: AnyKind, version: number, payload: unknown): unknown {
  return kind.earlier.slice(version - 1).reduce<unknown>((older, { upgrade }) => upgrade(older as never), payload);
}

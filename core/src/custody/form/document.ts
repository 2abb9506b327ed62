import { z } from 'zod';
import { Id } from '../../book/index.ts';
import { formFieldIds } from '../../registers/index.ts';
import { Drawn } from '../signature.ts';

const text = z.string();
const Named = z.object({ name: text, drawn: Drawn.optional() });

/**
 * A chain-of-custody form for machines: what stands on the paper, and the head of the book that proves it. Times are UTC, temperatures as
 * they were typed. Published as a JSON Schema in `docs/custody-form.schema.json`.
 */
export const CustodyForm = z.object({
  format: z.literal('fonte-custody-form'),
  version: z.literal(1),
  /** The hand-over that it is the form of, by its entry in the book. */
  handOver: Id,
  lab: text,
  round: text,
  /** How many entries the book has and the hash of the last: whoever keeps this can prove where the book ended. */
  head: z.object({ book: Id, count: z.number().int().positive(), hash: text.regex(/^[0-9a-f]{64}$/) }).nullable(),
  /** What holds of the whole form. */
  fields: z.array(z.object({ field: z.enum(formFieldIds), name: text, value: text })),
  /** The columns of its bottles, by field, in the order of the lab. */
  columns: z.array(z.object({ field: z.enum(formFieldIds), name: text })),
  bottles: z.array(
    z.object({
      bottle: text,
      box: text,
      condition: text,
      values: z.partialRecord(z.enum(formFieldIds), text),
      /** Hands in which it was before, the first first, as numbers of the legs below. */
      legs: z.array(z.number().int().positive()),
    }),
  ),
  /** Every change of hands of these bottles, up to this one. */
  legs: z.array(
    z.object({
      leg: z.number().int().positive(),
      entry: Id,
      at: z.iso.datetime(),
      from: text,
      to: text,
      takenBy: text,
      counted: z.number().int(),
      notFound: z.array(text),
      boxes: z.array(z.object({ name: text, temperature: text, onIce: z.boolean(), seal: text, sealIs: text })),
      signed: Named.nullable(),
      received: Named.nullable(),
    }),
  ),
});
export type CustodyForm = z.infer<typeof CustodyForm>;

/**
 * The head of a book as it is printed, read aloud and scanned: the count, a colon and the hash.
 * @example headText({ count: 12, hash: 'ab' }) // '12:ab'
 */
export const headText = ({ count, hash }: { count: number; hash: string }): string => `${count}:${hash}`;

/**
 * The hash in groups of four, so that a person can compare it.
 * @example headInGroups('abcdef12') // 'abcd ef12'
 */
export const headInGroups = (hash: string): string => hash.match(/.{1,4}/g)!.join(' ');

/** `120:3f9a…` as it was printed, scanned or typed from paper, blanks and all; null for anything else. */
export function readHead(said: string): { count: number; hash: string } | null {
  const [, count, hash] = /^(\d{1,9})[:,;]([0-9a-f]{64})$/i.exec(said.replace(/\s+/g, '')) ?? [];
  return count && hash && Number(count) > 0 ? { count: Number(count), hash: hash.toLowerCase() } : null;
}

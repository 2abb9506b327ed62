import { z } from 'zod';
import { Id } from '../book/index.ts';
import { parties, type PartyRow } from './tables/parties.ts';

export type PartyKind = keyof typeof parties;
export const partyKinds = Object.keys(parties) as [PartyKind, ...PartyKind[]];
export const partyKind = (kind: PartyKind): PartyRow => parties[kind];

/** Who holds bottles: a person, a place that is locked, a lab. */
export const Party = z.object({
  as: z.enum(partyKinds).meta({ title: 'To' }),
  name: z.string().trim().max(120).meta({ title: 'Name' }).default(''),
  /** The lab of the register. */
  lab: Id.optional(),
});
export type Party = z.infer<typeof Party>;

/**
 * A name as a keyboard without accents has it.
 * @example plainName(' São  João') // 'sao joao'
 */
export const plainName = (name: string) => name.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ').trim();

/** Whether two parties are the same: labs of the register by their book, others by kind and name. */
export const isSameParty = (a: Party, b: Party): boolean =>
  a.lab !== undefined || b.lab !== undefined ? a.lab === b.lab : a.as === b.as && plainName(a.name) === plainName(b.name);

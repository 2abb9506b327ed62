import { accessNoted } from '../access/index.ts';
import { actRoom } from '../act/index.ts';
import { arriveRoom } from '../arrive/index.ts';
import { madeUnreadable, struck, type AnyKind } from '../book/index.ts';
import { cultureRoom } from '../culture/index.ts';
import { custodyRoom } from '../custody/index.ts';
import { fieldTestsRoom } from '../fieldtests/index.ts';
import { fillRoom } from '../fill/index.ts';
import { kitRoom } from '../kit/index.ts';
import { levelRoom } from '../level/index.ts';
import { picturesRoom } from '../pictures/index.ts';
import { planRoom, roundPlanned } from '../plan/index.ts';
import { prepareRoom } from '../prepare/index.ts';
import { purgeRoom } from '../purge/index.ts';
import { readRoom } from '../read/index.ts';
import { registerKinds, registerOf, type RegisterName } from '../registers/index.ts';
import type { Role } from '../roles/index.ts';
import { scoutKinds } from '../scout/index.ts';
import { runRoom } from '../tap/index.ts';
import type { StepRoom } from './lines.ts';

/** The rooms of a visit, by the name of their part of its state, which is also the address of their page. */
export const visitRooms = {
  arrive: arriveRoom,
  level: levelRoom,
  purge: purgeRoom,
  tap: runRoom,
  fieldtests: fieldTestsRoom,
  fill: fillRoom,
  pictures: picturesRoom,
} as const satisfies Partial<Record<StepRoom, unknown>>;

/** The rooms of the whole round, named alike. */
export const roundRooms = {
  plan: planRoom,
  prepare: prepareRoom,
  kit: kitRoom,
  custody: custodyRoom,
  culture: cultureRoom,
  report: readRoom,
  verdict: actRoom,
} as const satisfies Partial<Record<StepRoom, unknown>>;

/** Every kind that may stand in a round's book. */
export const roundKinds: readonly AnyKind[] = [
  ...Object.values(roundRooms).flatMap((room) => room.kinds),
  ...Object.values(visitRooms).flatMap((room) => room.kinds),
  struck,
  madeUnreadable,
];

/** Whether a role may write anything in a room: nobody is led to a page on which there is nothing for them to do. */
export function mayWorkIn(room: StepRoom, role: Role): boolean {
  const rooms: Partial<Record<StepRoom, { kinds: readonly AnyKind[] }>> = { ...visitRooms, ...roundRooms };
  return rooms[room]?.kinds.some(({ by }) => (by as readonly string[]).includes(role)) ?? false;
}

/** What may stand in the book of a registered thing beside how it reads. */
const besideThings: Partial<Record<BookType, readonly AnyKind[]>> = { points: scoutKinds };

const byName = new Map(
  [...roundKinds, ...registerKinds, ...Object.values(besideThings).flat(), accessNoted].map((kind) => [kind.kind, kind]),
);
export const allKinds: readonly AnyKind[] = [...byName.values()];

/** The kind of that name, or null where this copy of the product does not have it. */
export function kindOf(name: string): AnyKind | null {
  return byName.get(name) ?? null;
}

/** What a book is of: a round, a thing of a register, or what happens at the door. The kind of its first entry says it. */
export type BookType = 'round' | 'access' | RegisterName;

/** The type of the book that a kind of entry opens, or null when it opens none. */
export function opens(kind: string): BookType | null {
  if (kind === roundPlanned.kind) return 'round';
  return kind === accessNoted.kind ? 'access' : registerOf(kind);
}

/** Whether a kind of entry may stand in a book of that type. */
export function belongsIn(kind: string, type: BookType): boolean {
  if (kind === madeUnreadable.kind) return true;
  if (type === 'round') return roundKinds.some((candidate) => candidate.kind === kind);
  return opens(kind) === type || (besideThings[type]?.some((candidate) => candidate.kind === kind) ?? false);
}

/** What a person calls an entry. */
export function titleOf({ kind }: { kind: string }): string {
  return byName.get(kind)?.title ?? kind;
}

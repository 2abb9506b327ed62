import { z } from 'zod';
import { reading } from '../endpoints/index.ts';
import { members } from '../roles/index.ts';
import { pointKind, pointKindIds, type Point } from './point.ts';
import { Position } from './position.ts';

/** A point in short: what a list and a map of all points need. */
export const PointPlace = z.object({
  id: z.string(),
  code: z.string(),
  name: z.string(),
  place: z.string(),
  kind: z.enum(pointKindIds),
  zone: z.string().nullable(),
  position: Position.nullable(),
  outOfUse: z.boolean(),
  /** Why it is out of use; null for one that is in use. */
  whyOut: z.string().nullable(),
});
export type PointPlace = z.infer<typeof PointPlace>;

export const placeOf = ({ id, code, name, place, kind, zone = undefined, position = undefined, outOfUse }: Point): PointPlace => ({
  id,
  code,
  name,
  place,
  kind,
  zone: zone ?? null,
  position: position ?? null,
  outOfUse: outOfUse !== undefined,
  whyOut: outOfUse?.reason ?? null,
});

export const pointPlaces = reading('/api/places', {
  summary: 'All points in short, by name',
  by: members,
  answer: z.array(PointPlace),
});

/** What points are sought by; what is left out seeks nothing. */
export interface PlaceSearch {
  /** A part of the name, code or place. */
  text?: string;
  kinds?: readonly string[];
  zones?: readonly string[];
  /** Only those in use, or only those that are not. */
  state?: 'in-use' | 'out-of-use';
  /** Only these, whatever makes them so; all where it is left out. */
  among?: ReadonlySet<string> | ReadonlyMap<string, unknown>;
}

/** Without accents and in small letters: who types quickly types neither. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** The points that a search finds, in their order. */
export function findPlaces(places: readonly PointPlace[], { text = '', kinds = [], zones = [], state, among }: PlaceSearch): PointPlace[] {
  const words = plain(text).split(/\s+/).filter(Boolean);
  return places.filter((one) => {
    if (kinds.length > 0 && !kinds.includes(one.kind)) return false;
    if (among && !among.has(one.id)) return false;
    if (zones.length > 0 && !zones.includes(one.zone ?? '')) return false;
    if (state !== undefined && one.outOfUse !== (state === 'out-of-use')) return false;
    if (words.length === 0) return true;
    const said = plain(`${one.name} ${one.code} ${one.place} ${pointKind(one.kind).name}`);
    return words.every((word) => said.includes(word));
  });
}

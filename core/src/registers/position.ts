import { z } from 'zod';
import type { Finding } from '../findings/index.ts';

/** A place on the earth in degrees (WGS 84): north and east are positive. */
export const Position = z.object({
  latitude: z
    .number()
    .min(-90, { error: 'A latitude lies between −90° and 90°.' })
    .max(90, { error: 'A latitude lies between −90° and 90°.' })
    .meta({ title: 'Latitude', units: ['deg'] }),
  longitude: z
    .number()
    .min(-180, { error: 'A longitude lies between −180° and 180°.' })
    .max(180, { error: 'A longitude lies between −180° and 180°.' })
    .meta({ title: 'Longitude', units: ['deg'] }),
});
export type Position = z.infer<typeof Position>;

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * The way through the air between two places in m, on a sphere of the earth's mean radius of 6371.0088 km (IUGG); within 0.6 % of
 * the way on the ellipsoid. Source: the haversine formula.
 */
export function distance(a: Position, b: Position): number {
  const [north, east] = [radians(b.latitude - a.latitude), radians(b.longitude - a.longitude)];
  const half = Math.sin(north / 2) ** 2 + Math.cos(radians(a.latitude)) * Math.cos(radians(b.latitude)) * Math.sin(east / 2) ** 2;
  return 2 * 6_371_008.8 * Math.asin(Math.min(1, Math.sqrt(half)));
}

/** From so far away (m) a point is asked about: nobody drives there in a day's round. Common practice. */
const farAway = 200_000;

const middle = (numbers: readonly number[]) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)]!;

/** The middle of some places, as most of them see it; null for none. */
export function centreOf(places: readonly Position[]): Position | null {
  if (places.length === 0) return null;
  return { latitude: middle(places.map((one) => one.latitude)), longitude: middle(places.map((one) => one.longitude)) };
}

/** What is odd about a position, seen from those of the other points: no place at all, latitude and longitude swapped, far away. */
export const questionPosition = (position: Position, others: readonly Position[]): Finding[] => questionFrom(position, centreOf(others));

/** The same, seen from the middle of the others, for many at once. */
export function questionFrom(position: Position, centre: Position | null): Finding[] {
  const { latitude, longitude } = position;
  const ask = (code: string, data: Finding['data'] = {}): Finding[] => [
    { code, severity: 'question', field: 'position.latitude', data: { ...data, latitude, longitude } },
  ];
  if (Math.abs(latitude) < 0.01 && Math.abs(longitude) < 0.01) return ask('position-nowhere');
  if (!centre) return [];
  const away = distance(position, centre);
  if (away < farAway) return [];
  const isSwapped = Math.abs(longitude) <= 90 && distance({ latitude: longitude, longitude: latitude }, centre) < farAway;
  return ask(isSwapped ? 'position-swapped' : 'position-far', { away: Math.round(away / 1000) });
}

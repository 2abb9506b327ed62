/** A number from 0 to 1 for a place in a course, the same whenever it is asked for (a hash after Mulberry32). */
export function chance(seed: number, place: number): number {
  let t = (seed ^ Math.imul(place + 1, 0x9e3779b1)) + 0x6d2b79f5;
  t = Math.imul(t ^ (t >>> 15), t | 1);
  t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
  return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
}

/** A number of a standard normal distribution for a place in a course (Box and Muller 1958). */
export function normal(seed: number, place: number): number {
  const u = Math.max(1e-12, chance(seed, 2 * place));
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * chance(seed, 2 * place + 1));
}

/** A seed of a text, such as a visit's id. */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

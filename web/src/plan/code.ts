/** A free code for a day: its date and the first letter that no other round of that day has. */
export function freeCode(date: string, taken: readonly string[]): string {
  const day = date.slice(2).replaceAll('-', '');
  const letter = [...'ABCDEFGHIJKMNPQRSTUVWXYZ'].find((candidate) => !taken.includes(day + candidate));
  return day + (letter ?? `Z${taken.length}`);
}

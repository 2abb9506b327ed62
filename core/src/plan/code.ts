/** A free code for a day: its date and the first letter that no other round of that day has. */
export function freeCode(date: string, taken: readonly string[]): string {
  const day = date.slice(2).replaceAll('-', '');
  const letters = [...'ABCDEFGHIJKMNPQRSTUVWXYZ'];
  const letter = letters.find((candidate) => !taken.includes(day + candidate));
  if (letter) return day + letter;
  // More rounds than letters: Z is followed by a number.
  for (let number = 2; ; number += 1) if (!taken.includes(`${day}Z${number}`)) return `${day}Z${number}`;
}

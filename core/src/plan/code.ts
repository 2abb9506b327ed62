/** A free code for a day: its date and the first letter that no other round of that day has. */
export function freeCode(date: string, taken: readonly string[]): string {
  const day = date.slice(2).replaceAll('-', '');
  const letters = [...'ABCDEFGHIJKMNPQRSTUVWXYZ'];
  const letter = letters.find((candidate) => !taken.includes(day + candidate));
  if (letter) return day + letter;
  // More rounds than letters: Z is followed by a number.
  for (let number = 2; ; number += 1) if (!taken.includes(`${day}Z${number}`)) return `${day}Z${number}`;
}

const signs = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';

/**
 * A code for a round that a device plans without a signal: two signs of the device's own stand behind the letter, as nobody can
 * be asked which letters others have taken meanwhile. One in a thousand pairs of devices has the same two.
 */
export function codeAlone(date: string, taken: readonly string[], device: string): string {
  const bits = Number.parseInt(device.slice(-8), 16);
  const own = signs[bits & 31]! + signs[(bits >> 5) & 31]!;
  const others = taken.filter((code) => code.endsWith(own)).map((code) => code.slice(0, -2));
  return freeCode(date, others) + own;
}

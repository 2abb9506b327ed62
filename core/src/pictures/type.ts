import type { PictureType } from './entries.ts';

const begins = (bytes: Uint8Array, signature: readonly number[], at = 0) => signature.every((byte, index) => bytes[at + index] === byte);

/** What kind of picture bytes are, by how they begin and whatever they are called; null when they are none that is kept. */
export function pictureType(bytes: Uint8Array): PictureType | null {
  if (begins(bytes, [0xff, 0xd8, 0xff])) return 'image/jpeg';
  if (begins(bytes, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) return 'image/png';
  // "RIFF", four bytes of length, "WEBP".
  if (begins(bytes, [0x52, 0x49, 0x46, 0x46]) && begins(bytes, [0x57, 0x45, 0x42, 0x50], 8)) return 'image/webp';
  return null;
}

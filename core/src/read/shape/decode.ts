/** A file's text and the encoding it was read in. */
export interface Decoded {
  text: string;
  encoding: 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';
}

/**
 * Reads bytes as text: by byte-order mark, else as UTF-16 where every other byte of the beginning is 0, else as UTF-8, else as
 * Windows-1252, which takes any byte. The mark is removed.
 */
export function decodeText(bytes: Uint8Array): Decoded {
  const wide =
    bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : bytes[0] === 0xfe && bytes[1] === 0xff ? 'utf-16be' : wideByZeros(bytes);
  if (wide) return { text: new TextDecoder(wide).decode(bytes), encoding: wide };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'windows-1252' };
  }
}

/** Text of Latin letters without a mark at its beginning: every other byte is 0, and none between them. */
function wideByZeros(bytes: Uint8Array): 'utf-16le' | 'utf-16be' | null {
  const head = bytes.subarray(0, 64);
  if (head.length < 8 || bytes.length % 2 !== 0) return null;
  const zeros = (offset: number) => head.filter((byte, index) => index % 2 === offset && byte === 0).length;
  const [even, odd] = [zeros(0), zeros(1)];
  const half = Math.floor(head.length / 2);
  return odd > half * 0.8 && even === 0 ? 'utf-16le' : even > half * 0.8 && odd === 0 ? 'utf-16be' : null;
}

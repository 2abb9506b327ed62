/** A file's text and the encoding it was read in. */
export interface Decoded {
  text: string;
  encoding: 'utf-8' | 'utf-16le' | 'windows-1252';
}

/**
 * Reads bytes as text: by byte-order mark, else as UTF-8, else as Windows-1252, which takes any byte. The mark is
 * removed.
 */
export function decodeText(bytes: Uint8Array): Decoded {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'utf-16le' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'windows-1252' };
  }
}

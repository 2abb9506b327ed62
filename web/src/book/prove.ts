const keys = new Map<string, Promise<CryptoKey>>();

const bytesOf = (base64url: string) =>
  Uint8Array.from(atob(base64url.replaceAll('-', '+').replaceAll('_', '/')), (sign) => sign.charCodeAt(0));

function keyOf(publicKey: string): Promise<CryptoKey> {
  const known =
    keys.get(publicKey) ?? crypto.subtle.importKey('raw', bytesOf(publicKey), { name: 'ECDSA', namedCurve: 'P-256' }, false, ['verify']);
  keys.set(publicKey, known);
  return known;
}

/** Whether a text was signed by the holder of a key, worked out on this device alone. */
export async function isSignedBy(text: string, signature: string, publicKey: string): Promise<boolean> {
  try {
    const key = await keyOf(publicKey);
    return await crypto.subtle.verify({ name: 'ECDSA', hash: 'SHA-256' }, key, bytesOf(signature), new TextEncoder().encode(text));
  } catch {
    return false;
  }
}

/** Why a value cannot stand in a book, with the path of the place, dotted. */
export interface Unsound {
  path: string;
  code: 'not-text' | 'not-a-number' | 'too-deep' | 'too-large' | 'not-json';
}

/** How deep and how large the payload of one entry may be. */
export const bounds = { depth: 12, values: 20_000, text: 10_000 } as const;

/** Control characters but tab and line feed, or half of a surrogate pair: no text that can be hashed, stored and shown alike everywhere. */
// eslint-disable-next-line no-control-regex
const control = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/;

/** Keys by which a value says what it becomes: whatever compares it would run into them. No payload has one. */
const becoming: ReadonlySet<string> = new Set(['toString', 'valueOf', 'toJSON', 'constructor', '__proto__']);

/**
 * Whether a text is well-formed Unicode without control characters.
 * @example isSoundText('a\u0000') // false
 */
export function isSoundText(text: string): boolean {
  return !control.test(text) && !/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/.test(text);
}

/**
 * The first place at which a value is not plain, bounded JSON of sound text and finite numbers, or null when it is. What
 * passes has one canonical text, and comes back from any store as it went in.
 * @example findUnsound({ a: [1, NaN] }) // { path: 'a.1', code: 'not-a-number' }
 */
export function findUnsound(value: unknown): Unsound | null {
  let count = 0;
  const textCode = (text: string): Unsound['code'] | null =>
    text.length > bounds.text ? 'too-large' : isSoundText(text) ? null : 'not-text';
  /** The path is put together on the way back, so that what is sound costs none. */
  const look = (one: unknown, depth: number): { path: string[]; code: Unsound['code'] } | null => {
    const found = (code: Unsound['code'] | null) => code && { path: [], code };
    if ((count += 1) > bounds.values) return found('too-large');
    if (depth > bounds.depth) return found('too-deep');
    if (one === null || typeof one === 'boolean') return null;
    if (typeof one === 'string') return found(textCode(one));
    if (typeof one === 'number') return found(Number.isFinite(one) ? null : 'not-a-number');
    if (typeof one !== 'object') return found('not-json');
    for (const key of Object.keys(one)) {
      if (!isSoundText(key)) return found('not-text');
      if (becoming.has(key)) return found('not-json');
      const unsound = look((one as Record<string, unknown>)[key], depth + 1);
      if (unsound) return { path: [key.slice(0, 80), ...unsound.path], code: unsound.code };
    }
    return null;
  };
  const unsound = look(value, 0);
  return unsound && { path: unsound.path.join('.'), code: unsound.code };
}

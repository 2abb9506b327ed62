type Tree = Record<string, unknown>;

/** What stands at a dotted path; undefined where nothing does. */
export function at(thing: unknown, path: string): unknown {
  return path.split('.').reduce<unknown>((value, key) => (value as Tree | undefined)?.[key], thing);
}

/** The same thing with another value at a dotted path; lists and what lies beside it stay. */
export function withAt<T>(thing: T, path: string, value: unknown): T {
  const [key, ...rest] = path.split('.') as [string, ...string[]];
  const inner =
    rest.length === 0 ? value : withAt((thing as Tree | undefined)?.[key] ?? (/^\d+$/.test(rest[0]!) ? [] : {}), rest.join('.'), value);
  if (Array.isArray(thing)) {
    const list = [...(thing as unknown[])];
    list[Number(key)] = inner;
    return list as T;
  }
  return { ...(thing as Tree), [key]: inner } as T;
}

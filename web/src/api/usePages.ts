import { addressOf, type AnyEndpoint, type Answer } from '@fonte/core/endpoints';
import useSWRInfinite from 'swr/infinite';
import type { Call } from './call.ts';
import { readOrKept } from './kept.ts';

/**
 * A list that comes page by page. `more` is there while the last page was full.
 * @param query without `after` and `limit`; null asks for nothing yet
 * @param mark what names an item as the end of a page
 */
export function usePages<E extends AnyEndpoint, T extends (Answer<E> extends readonly (infer I)[] ? I : never)>(
  endpoint: E,
  query: Record<string, string> | null,
  size: number,
  mark: (item: T) => string,
) {
  const questionAfter = (from: T | undefined) =>
    ({ query: { ...query, limit: size, ...(from === undefined ? {} : { after: mark(from) }) } }) as unknown as Call<E>;
  const { data, error, mutate, setSize, isLoading } = useSWRInfinite<T[], unknown>(
    (_index: number, before: T[] | null) => {
      if (query === null || (before && before.length < size)) return null;
      const question = questionAfter(before?.at(-1));
      return [addressOf(endpoint, question), question] as const;
    },
    ([, question]: readonly [string, Call<E>]) => readOrKept(endpoint, question) as Promise<T[]>,
    // Never an answer from just before: what was written a moment ago must stand in the list.
    { revalidateFirstPage: true, keepPreviousData: true, dedupingInterval: 0 },
  );
  const isFull = data !== undefined && data.at(-1)?.length === size;
  return {
    items: data?.flat(),
    error,
    isLoading,
    retry: () => void mutate(),
    more: isFull ? () => void setSize((pages) => pages + 1) : null,
  };
}

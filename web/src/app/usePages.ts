import useSWRInfinite from 'swr/infinite';
import { get } from './api.ts';

/**
 * A list that comes page by page. `more` is there while the last page was full.
 * @param path without `after`; null asks for nothing yet
 * @param mark what names an item as the end of a page
 */
export function usePages<T>(path: string | null, size: number, mark: (item: T) => string) {
  const { data, error, mutate, setSize, isLoading } = useSWRInfinite<T[]>(
    (_index: number, before: T[] | null) => {
      if (path === null || (before && before.length < size)) return null;
      const from = before?.at(-1);
      const joint = path.includes('?') ? '&' : '?';
      return `${path}${joint}limit=${size}${from === undefined ? '' : `&after=${encodeURIComponent(mark(from))}`}`;
    },
    (url: string) => get<T[]>(url),
    // Never an answer from just before: what was written a moment ago must stand in the list.
    { revalidateFirstPage: true, keepPreviousData: true, dedupingInterval: 0 },
  );
  const isFull = data !== undefined && data.at(-1)?.length === size;
  return {
    items: data?.flat(),
    error: error as unknown,
    isLoading,
    retry: () => void mutate(),
    more: isFull ? () => void setSize((pages) => pages + 1) : null,
  };
}

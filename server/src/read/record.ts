import type { ResultOfRecord } from '@fonte/core/read';
import type { Store } from '../store/index.ts';
import type { ResultRow } from './tables.ts';

/** The results of a point with the moments at which their bottles were filled, oldest first. */
export async function resultsAt(store: Store, point: string): Promise<ResultOfRecord[]> {
  const rows = await store.read<(ResultRow & { filled: number | null })[]>(
    `SELECT r.book, r.bottle, r.parameter, r.form, r.value, r.verdict, b.filled FROM results r
      JOIN bottles b ON b.book = r.book AND b.id = r.bottle WHERE r.point = ? ORDER BY b.filled, r.parameter`,
    [point],
  );
  return rows.flatMap(({ book, bottle, parameter, form, value, verdict, filled }) =>
    filled === null ? [] : [{ round: book, bottle, parameter, form, value, verdict, at: Number(filled) } as ResultOfRecord],
  );
}

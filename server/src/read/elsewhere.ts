import type { OtherRound, ReportDraft } from '@fonte/core/read';
import type { Store } from '../store/index.ts';

/** So many texts of a report are looked up. */
const most = 400;

/** The other rounds to which labels of a report belong that this one does not know, the one with the most first. */
export async function elsewhereOf(
  store: Store,
  round: string,
  { unread, apart }: Pick<ReportDraft, 'unread' | 'apart'>,
): Promise<OtherRound[]> {
  const cells = [...new Set([...unread, ...apart].map(({ cell }) => cell.trim().toUpperCase()).filter((cell) => cell !== ''))].slice(
    0,
    most,
  );
  if (cells.length === 0) return [];
  const rows = await store.read<{ book: string; code: string; name: string; n: number }[]>(
    `SELECT b.book, r.code, r.name, COUNT(*) AS n FROM bottles b JOIN rounds r ON r.book = b.book
      WHERE b.id IN (${cells.map(() => '?').join(',')}) AND b.book != ? GROUP BY b.book, r.code, r.name ORDER BY n DESC, r.code LIMIT 3`,
    [...cells, round],
  );
  return rows.map(({ book, code, name, n }) => ({ round: book, code, name, labels: Number(n) }));
}

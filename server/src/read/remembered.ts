import { canonicalJson } from '@fonte/core/book';
import type { Mapping, Remembered } from '@fonte/core/read';
import type { RoundState } from '@fonte/core/round';
import { marks, type Store } from '../store/index.ts';
import type { ColumnsRow } from './tables.ts';

/** The lab whose report it is: the one that most of its results' bottles went to. */
function labOfReport({ plan, bottles }: RoundState, results: readonly { bottle: string }[]): string | null {
  const counts = new Map<string, number>();
  for (const { bottle } of results) {
    const lab = bottles.find(({ id }) => id === bottle)?.lab?.id;
    if (lab !== undefined) counts.set(lab, (counts.get(lab) ?? 0) + 1);
  }
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  return most?.[0] ?? plan.lab?.id ?? null;
}

/** How the reports of a round were read, by the lab they came from. A report that was put aside teaches nothing. */
export function columnsRows(book: string, round: RoundState): ColumnsRow[] {
  return round.reports.flatMap(({ sha256, read, putAside }): ColumnsRow[] => {
    if (!read || putAside || read.header.length === 0) return [];
    const lab = labOfReport(round, read.results);
    if (lab === null) return [];
    return [{ book, id: sha256, lab, at: read.at, header: JSON.stringify(read.header), mapping: canonicalJson(read.mapping) }];
  });
}

/** So many ways of writing a lab's report down are looked at: labs change them rarely. */
const looked = 50;

/** How reports of the labs of a round were read before, the latest first. */
export async function rememberedOf(store: Store, { plan, labs }: Pick<RoundState, 'plan' | 'labs'>): Promise<Remembered[]> {
  const ids = [plan.lab, ...labs.map(({ lab }) => lab)].flatMap((lab) => lab?.id ?? []);
  if (ids.length === 0) return [];
  const rows = await store.read<ColumnsRow[]>(
    `SELECT header, mapping FROM columns WHERE lab IN (${marks(ids.length)}) ORDER BY at DESC LIMIT ${looked}`,
    ids,
  );
  return rows.map(({ header, mapping }) => ({ header: JSON.parse(header) as string[], mapping: JSON.parse(mapping) as Mapping }));
}

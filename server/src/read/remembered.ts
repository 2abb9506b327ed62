import type { Mapping, Remembered } from '@fonte/core/read';
import type { RoundState } from '@fonte/core/round';
import type { Store } from '../store/index.ts';
import type { ColumnsRow } from './tables.ts';

/** How the reports of a round were read, by the lab they came from. A report that was put aside teaches nothing. */
export function columnsRows(book: string, { plan, reports }: RoundState): ColumnsRow[] {
  return reports.flatMap(({ sha256, read, putAside }): ColumnsRow[] => {
    if (!plan.lab || !read || putAside || read.header.length === 0) return [];
    return [
      { book, id: sha256, lab: plan.lab.id, at: read.at, header: JSON.stringify(read.header), mapping: JSON.stringify(read.mapping) },
    ];
  });
}

/** So many ways of writing a lab's report down are looked at: labs change them rarely. */
const looked = 50;

/** How reports of a lab were read before, the latest first. */
export async function rememberedOf(store: Store, lab: string | undefined): Promise<Remembered[]> {
  if (lab === undefined) return [];
  const rows = await store.read<ColumnsRow[]>(`SELECT header, mapping FROM columns WHERE lab = ? ORDER BY at DESC LIMIT ${looked}`, [lab]);
  return rows.map(({ header, mapping }) => ({ header: JSON.parse(header) as string[], mapping: JSON.parse(mapping) as Mapping }));
}

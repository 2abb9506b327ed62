import type { BookEntry } from '@fonte/core/book';
import type { RoundState } from '@fonte/core/round';
import type { DataSource, EntityManager, EntitySchema } from 'typeorm';
import { fillRows } from '../fill/rows.ts';
import { levelRows } from '../level/rows.ts';
import { planRows, visitRows } from '../plan/rows.ts';
import { purgeRows } from '../purge/rows.ts';
import { resultRows } from '../read/rows.ts';
import { registerRows } from '../registers/rows.ts';
import {
  BottleTable,
  LevelTable,
  ReadingTable,
  RegisterTable,
  ResultTable,
  RoundTable,
  VisitTable,
  type DerivedRow,
} from '../store/index.ts';

/** A table derived from the books: which rows a round or the organisation's book makes in it. */
interface Projection {
  table: EntitySchema<DerivedRow>;
  fromRound?: (book: string, round: RoundState) => DerivedRow[];
  fromOrg?: (entries: readonly BookEntry[]) => DerivedRow[];
}

const projection = <R extends DerivedRow>(
  table: EntitySchema<R>,
  from: { fromRound?: (book: string, round: RoundState) => R[]; fromOrg?: (entries: readonly BookEntry[]) => R[] },
): Projection => ({ table: table as unknown as EntitySchema<DerivedRow>, ...from });

/** The tables people query, in the order in which they refer to one another. */
const projections: readonly Projection[] = [
  projection(RegisterTable, { fromOrg: registerRows }),
  projection(RoundTable, { fromRound: planRows }),
  projection(VisitTable, { fromRound: visitRows }),
  projection(LevelTable, { fromRound: levelRows }),
  projection(ReadingTable, { fromRound: purgeRows }),
  projection(BottleTable, { fromRound: fillRows }),
  projection(ResultTable, { fromRound: resultRows }),
];

/** The derived rows of one book, by table name and id, each as the JSON it is compared by. */
export type BookRows = Map<string, Map<string, { json: string; row: DerivedRow }>>;

/** All rows a book makes. */
export function rowsOf(book: string, entries: readonly BookEntry[], round: RoundState | null): BookRows {
  return new Map(
    projections.map(({ table, fromRound, fromOrg }) => {
      const rows = book === 'org' ? (fromOrg?.(entries) ?? []) : round ? (fromRound?.(book, round) ?? []) : [];
      return [table.options.name, new Map(rows.map((row) => [row.id, { json: JSON.stringify(row), row }]))];
    }),
  );
}

const none: ReadonlyMap<string, { json: string; row: DerivedRow }> = new Map();
/** SQLite takes 32766 variables in a statement; rows have at most ten columns. */
const batch = 1000;

/** Writes the difference between the rows a book made before and makes now. */
export async function writeRows(manager: EntityManager, before: BookRows, after: BookRows): Promise<void> {
  for (const { table } of projections) {
    const [old, now] = [before.get(table.options.name) ?? none, after.get(table.options.name) ?? none];
    const gone = [...old.keys()].filter((id) => !now.has(id));
    const changed = [...now].filter(([id, { json }]) => old.get(id)?.json !== json).map(([, { row }]) => row);
    for (let at = 0; at < gone.length; at += batch) await manager.delete(table, gone.slice(at, at + batch));
    for (let at = 0; at < changed.length; at += batch) await manager.upsert(table, changed.slice(at, at + batch), ['id']);
  }
}

/** Empties every derived table. */
export async function clearRows(manager: EntityManager): Promise<void> {
  for (const { table } of [...projections].reverse()) await manager.createQueryBuilder().delete().from(table).execute();
}

/** Every derived row there is, by table, in order of id: for comparing before and after a rebuild. */
export async function allRows(store: DataSource): Promise<Record<string, DerivedRow[]>> {
  const found: Record<string, DerivedRow[]> = {};
  for (const { table } of projections) found[table.options.name] = await store.getRepository(table).find({ order: { id: 'ASC' } });
  return found;
}

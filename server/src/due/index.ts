import { canonicalJson } from '@fonte/core/book';
import { sampleRecord, type SampleOfRecord } from '@fonte/core/due';
import { samplesOf, type RoundState } from '@fonte/core/round';
import { EntitySchema } from 'typeorm';
import { ofRound } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import { route, type Route, type Services } from '../http/index.ts';
import { derived, optionalText, text, type DerivedRow } from '../store/index.ts';

interface SampleRow extends DerivedRow {
  visit: string;
  point: string;
  analysis: string;
  date: string;
  state: string;
  /** JSON. */
  because: string | null;
}
const SampleTable = new EntitySchema<SampleRow>({
  name: 'samples',
  columns: { ...derived, visit: text, point: text, analysis: text, date: text, state: text, because: optionalText },
});

/** One row for each analysis that is asked for at a visit. */
const sampleRows = (book: string, round: RoundState): SampleRow[] =>
  samplesOf(book, round).map(({ visit, point, analysis, date, state, because }) => ({
    book,
    id: `${visit} ${analysis}`,
    visit,
    point,
    analysis,
    date,
    state,
    because: because && canonicalJson(because),
  }));

const dueRoutes = ({ store }: Pick<Services, 'store'>): Route[] => [
  route(sampleRecord, async ({ query: { from } }) => {
    const rows = await store.read<SampleRow[]>('SELECT * FROM samples WHERE date >= ? ORDER BY date, book, id', [from]);
    return rows.map(
      ({ book, visit, point, analysis, date, state, because }) =>
        ({
          round: book,
          visit,
          point,
          analysis,
          date,
          state,
          because: because === null ? null : (JSON.parse(because) as unknown),
        }) as SampleOfRecord,
    );
  }),
];

export const dueRoom: ServerRoom<Services> = { name: 'due', derived: [ofRound(SampleTable, sampleRows)], routes: dueRoutes };

import { checkRecord, checkRow, recentChecks, type Check, type CheckMadeElsewhere, type CheckOfRecord } from '@fonte/core/prepare';
import { canonicalJson } from '@fonte/core/book';
import { inOwnUnit } from '@fonte/core/parameters';
import type { RoundState } from '@fonte/core/round';
import type { Typed } from '@fonte/core/units';
import { EntitySchema } from 'typeorm';
import { ofRound } from '../book/derivation.ts';
import type { ServerRoom } from '../book/room.ts';
import { route, type Route, type Services } from '../http/index.ts';
import { derived, integer, optionalFloat, text, type DerivedRow } from '../store/index.ts';

interface CheckRowOf extends DerivedRow {
  instrument: string;
  at: number;
  /** Which check it was; `check` is a word of SQL. */
  made: string;
  nominal: number | null;
  reading: number | null;
  outcome: string;
  /** The check as its entry has it, JSON. */
  payload: string;
}
const CheckTable = new EntitySchema<CheckRowOf>({
  name: 'checks',
  columns: {
    ...derived,
    instrument: text,
    at: integer,
    made: text,
    nominal: optionalFloat,
    reading: optionalFloat,
    outcome: text,
    payload: text,
  },
});

/** One row for each check of an instrument where it was made, in the parameter's own unit. */
function checkRows(book: string, { prepare }: RoundState): CheckRowOf[] {
  const own = prepare.checks.filter(({ takenFrom }) => takenFrom === null);
  return own.map((made: Check) => {
    const { parameter, nominal } = checkRow(made.check);
    const inOwn = (typed: Typed | undefined) => (parameter && typed ? inOwnUnit(parameter, typed) : null);
    return {
      book,
      id: made.entry,
      instrument: made.instrument.id,
      at: made.at,
      made: made.check,
      nominal: nominal ?? inOwn(made.nominal),
      reading: inOwn(made.reading),
      outcome: made.outcome,
      // Alike whether it was just written or is read back.
      payload: canonicalJson(payloadOf(made)),
    };
  });
}

/** What the entry said. */
function payloadOf({ entry: _entry, at: _at, takenFrom: _from, outcome: _outcome, ...payload }: Check): object {
  return payload;
}

const prepareRoutes = ({ store }: Pick<Services, 'store'>): Route[] => [
  route(checkRecord, async ({ in: { instrument } }) => {
    const rows = await store.read<CheckRowOf[]>('SELECT * FROM checks WHERE instrument = ? ORDER BY at', [instrument]);
    return rows.map(({ book, at, made, nominal, reading, outcome }) => ({
      round: book,
      at: Number(at),
      check: made as CheckOfRecord['check'],
      nominal,
      reading,
      outcome: outcome as CheckOfRecord['outcome'],
    }));
  }),
  route(recentChecks, async ({ query: { from } }) => {
    const rows = await store.read<CheckRowOf[]>('SELECT * FROM checks WHERE at >= ? ORDER BY at', [from]);
    return rows.map(
      ({ book, id, at, payload }) =>
        ({ round: book, entry: id, at: Number(at), payload: JSON.parse(payload) as unknown }) as CheckMadeElsewhere,
    );
  }),
];

export const prepareRoom: ServerRoom<Services> = { name: 'prepare', derived: [ofRound(CheckTable, checkRows)], routes: prepareRoutes };

import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { findBreaks, type BookEntry } from '@fonte/core/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { derivation } from '../src/app/rooms.ts';
import { sha256 } from '../src/book/codec.ts';
import { allRowsOf, emptyView, extendView, readView, type BookView } from '../src/book/view.ts';
import { opens } from '@fonte/core/round';
import type { Change } from '../src/book/rows.ts';
import { asBook, shapes } from './shapes.ts';

/*
 * FONTE_SAVE=1 writes the books of shapes that have no file yet. A file that is there is never written again: it is what
 * a user's database holds.
 */
const folder = fileURLToPath(new URL('saved/', import.meta.url));
const fileOf = (name: string) => `${folder}${name}.json`;
if (process.env['FONTE_SAVE'])
  for (const [name, shape] of Object.entries(shapes)) {
    if (existsSync(fileOf(name))) continue;
    const entries = asBook(shape());
    writeFileSync(fileOf(name), `${JSON.stringify({ entries, rows: rowsIn(readView(derivation, entries[0]!.book, entries)!) })}\n`);
  }

type Rows = Record<string, object>;
function rowsIn(view: BookView): Rows {
  return Object.fromEntries([...allRowsOf(view)].sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, { placed }]) => [key, placed.row]));
}

/** Tables that came after books were saved: what a book of before has no row of was not asked for then. */
const young = ['arrivals', 'checks', 'pictures', 'samples', 'scouted', 'setups'];
const isYoungRow = (row: object) => 'what' in row && row.what === 'result';
/** A column that came after books were saved: a row of before has none to compare it with. */
function withoutYoung(key: string, row: object, before: Rows): object {
  const was = before[key];
  if (!key.startsWith('results ') || was === undefined || 'sample' in was) return row;
  const { sample: _, ...rest } = row as { sample?: string };
  return rest;
}
function asAsked(rows: Rows, before: Rows): Rows {
  const isNew = (key: string) =>
    young.some((table) => key.startsWith(`${table} `) && !Object.keys(before).some((one) => one.startsWith(`${table} `)));
  return Object.fromEntries(
    Object.entries(rows)
      .filter(([key, row]) => !isNew(key) && (!isYoungRow(row) || key in before))
      .map(([key, row]) => [key, withoutYoung(key, row, before)]),
  );
}

/** Rows without what is kept in them for the first page alone, which may show more from one version to the next. */
const lasting = (rows: Rows): Rows =>
  Object.fromEntries(Object.entries(rows).map(([key, row]) => [key, { ...row, overview: undefined, data: undefined }]));

const saved = readdirSync(folder)
  .filter((file) => file.endsWith('.json'))
  .map((file) => {
    const { entries, rows } = JSON.parse(readFileSync(folder + file, 'utf8')) as { entries: BookEntry[]; rows: Rows };
    return { name: file.replace('.json', ''), entries, rows };
  });

it('keeps a book of every shape', () => {
  expect(saved.map(({ name }) => name).sort()).toEqual(Object.keys(shapes).sort());
});

describe.each(saved)('the saved book “$name”', ({ entries, rows }) => {
  const { book } = entries[0]!;

  it('folds to the rows it was saved with, and its chain holds', () => {
    expect(findBreaks(entries, sha256)).toEqual([]);
    expect(lasting(asAsked(rowsIn(readView(derivation, book, entries)!), rows))).toEqual(lasting(rows));
  });

  it('folds to the same rows in whatever order its entries arrive, and in whatever portions', () => {
    const [first, ...rest] = entries;
    fc.assert(
      fc.property(fc.shuffledSubarray(rest, { minLength: rest.length }), fc.integer({ min: 1, max: 9 }), (shuffled, portion) => {
        let view = emptyView(derivation, book, opens(first!.kind)!);
        const table = new Map<string, unknown>();
        const apply = ({ now, gone }: Change) => {
          for (const {
            table: { options },
            row,
          } of gone)
            table.delete(`${options.name} ${row.id}`);
          for (const {
            table: { options },
            row,
          } of now)
            table.set(`${options.name} ${row.id}`, row);
        };
        const arriving = [first!, ...shuffled];
        for (let at = 0; at < arriving.length; at += portion) {
          const extended = extendView(view, arriving.slice(at, at + portion));
          view = extended.view;
          apply(extended.change);
        }
        // What was written by and by is what is made at once.
        expect(Object.fromEntries([...table].sort(([a], [b]) => (a < b ? -1 : 1)))).toEqual(rowsIn(view));
        expect(lasting(asAsked(rowsIn(view), rows))).toEqual(lasting(rows));
      }),
      { numRuns: 8 },
    );
  });

  it('folds at every prefix', () => {
    for (let count = 1; count <= entries.length; count += Math.max(1, Math.floor(entries.length / 40)))
      expect(readView(derivation, book, entries.slice(0, count))!.entries.length).toBe(count);
  });
});

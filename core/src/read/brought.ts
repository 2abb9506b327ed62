import { z } from 'zod';
import { parameterIds } from '../parameters/index.ts';
import type { BottleAtLab } from './at-lab.ts';
import { readValue } from './cells/value.ts';
import { isQualitySample } from './rows/labels.ts';
import { Mapping } from './mapping.ts';
import { proposeMapping } from './propose.ts';
import { readReport, ReportDraft } from './report.ts';
import type { ReportTable } from './shape/sheets.ts';
import type { Block, LabTable, Refusal } from './shape/table.ts';

/** What a report calls its one sample where it does not name it. */
export const unnamedSample = 'The sample';

/** What is said of a report before it is read: the day of sampling, the name of the sample that is meant, and how the file is read. */
export const BroughtAsked = z.object({
  sampled: z.iso.date().optional(),
  sample: z.string().max(200).optional(),
  mapping: Mapping.optional(),
});
export type BroughtAsked = z.infer<typeof BroughtAsked>;

/** A report that somebody brought, as read: with the samples that it names, and the one that is meant, or null where that is open. */
export const BroughtDraft = ReportDraft.extend({ samples: z.array(z.string()), sample: z.string().nullable() });
export type BroughtDraft = z.infer<typeof BroughtDraft>;

/** The columns of a table without results to a row that hold what results hold: each is a sample. */
function sampleColumns(table: LabTable, mapping: Mapping): string[] {
  if (mapping.columns.parameter === undefined || mapping.columns.result !== undefined) return [];
  const taken = new Set(Object.values(mapping.columns));
  return table.header.filter((heading, column) => {
    const cells = table.rows.flatMap(({ cells: all }) => (all[column] ? [all[column]] : []));
    return heading !== '' && !taken.has(column) && cells.filter((cell) => readValue(cell, '').ok).length > cells.length / 2;
  });
}

/** A line of one text is a remark. */
const isRow = (cells: readonly string[]) => cells.filter((cell) => cell !== '').length > 1;

/** The names of samples in a table; not those of the lab's own quality control. */
function samplesIn(table: LabTable, mapping: Mapping): string[] {
  const column = mapping.columns.sample;
  const named =
    column === undefined ? sampleColumns(table, mapping) : table.rows.flatMap(({ cells }) => (isRow(cells) ? [cells[column] ?? ''] : []));
  return [...new Set(named)].filter((name) => name !== '' && !isQualitySample(name));
}

/** A block whose rows are of one sample that nothing in it names. */
const ofOne = <T extends Block>(block: T): T => ({
  ...block,
  header: [...block.header, 'Sample'],
  rows: block.rows.map((row) => ({
    ...row,
    cells: [...row.cells, ...Array.from({ length: block.header.length - row.cells.length }, () => ''), unnamedSample],
  })),
});

/** The table with its samples named. */
function withSamples(table: LabTable, given: Mapping | undefined): { table: LabTable; samples: string[] } {
  const mapping = given && Object.keys(given.columns).length > 0 ? given : proposeMapping(table);
  // A column that was said of the table with its one sample named is behind the others.
  const isBehind = (mapping.columns.sample ?? 0) >= table.header.length;
  const samples = isBehind ? [] : samplesIn(table, mapping);
  if (samples.length > 0) return { table, samples };
  const { more } = table;
  return { table: { ...ofOne(table), ...(more ? { more: more.map(ofOne) } : {}) }, samples: [unnamedSample] };
}

/** A sample of which nothing was asked, so that nothing is waited for. */
const sampleOf = (name: string, filledOn: string): BottleAtLab => ({
  name: 'Sample',
  parameters: parameterIds,
  asked: [],
  filledOn,
  visit: name,
});

/**
 * Reads a report of a sample that nobody here took: whatever it calls its samples they are read, and which of them is meant is asked about where
 * there are several.
 * @example readBrought(textTable(bytes), { sampled: '2026-11-23' })
 */
export function readBrought(
  from: ReportTable,
  { sampled = '', sample, mapping: given }: BroughtAsked,
): { draft: BroughtDraft } | { refusal: Refusal } {
  let samples: string[] = [];
  const read = readReport(
    from,
    (table) => {
      const named = withSamples(table, given);
      ({ samples } = named);
      return { table: named.table, bottles: new Map(samples.map((name) => [name, sampleOf(name, sampled)])) };
    },
    given,
  );
  if ('refusal' in read) return read;
  const asked = sample !== undefined && samples.includes(sample) ? sample : samples.length === 1 ? samples[0]! : null;
  const { draft } = read;
  return { draft: { ...draft, results: draft.results.filter(({ bottle }) => asked === null || bottle === asked), samples, sample: asked } };
}

import { z } from 'zod';
import type { Mapping } from './mapping.ts';
import type { Unread } from './shape/table.ts';
import { sayLine, type FilePart } from './shape/sheets.ts';
import { confirmCodes } from './tables/to-confirm.ts';
import { bareFlag } from './cells/value.ts';

/** What is asked about a whole file, by the code of the rows that hang on it: the answer is one key of the mapping. */
export const fileQuestions = {
  'nitrogen-as': { key: 'nitrogenAs' },
  'phosphorus-as': { key: 'phosphorusAs' },
  'silica-as': { key: 'silicaAs' },
  'conductivity-at': { key: 'conductivityAt' },
  'hardness-as': { key: 'hardnessAs' },
  'alkalinity-as': { key: 'alkalinityAs' },
  'thousand-or-decimal': { key: 'decimals' },
  ppt: { key: 'ppt' },
  fraction: { key: 'fraction' },
  'fraction-of-bottle': { key: 'fractionBy' },
} as const satisfies Record<string, { key: keyof Mapping }>;
export type FileQuestion = keyof typeof fileQuestions;

/** What is asked about one thing of a file after the other; the answers are a record in the mapping, by that thing. */
export const thingQuestions = {
  'unknown-parameter': { key: 'names' },
  'unknown-unit': { key: 'units' },
  'unknown-flag': { key: 'flags' },
  'near-label': { key: 'labels' },
  'unknown-label': { key: 'labels' },
  swapped: { key: 'labels' },
  'two-results': { key: 'runs' },
} as const satisfies Record<string, { key: keyof Mapping }>;
export type ThingQuestion = keyof typeof thingQuestions;

const codesOf = <T extends string>(table: Readonly<Record<T, unknown>>) => Object.keys(table) as [T, ...T[]];

export const Question = z.discriminatedUnion('about', [
  /** Rows that contradict themselves: as printed, or left out. */
  z.object({ about: z.literal('rows'), code: z.enum(confirmCodes), examples: z.array(z.string()), rows: z.number().int() }),
  z.object({ about: z.literal('file'), code: z.enum(codesOf(fileQuestions)), examples: z.array(z.string()), rows: z.number().int() }),
  z.object({
    about: z.literal('thing'),
    code: z.enum(codesOf(thingQuestions)),
    /** What is asked about: a flag, the name of a sample, what was measured twice. */
    thing: z.string(),
    /** What may be answered; the words for a flag's meaning are the page's. */
    choices: z.array(z.string()),
    /** What the file itself says of it. */
    says: z.string(),
    /** How many rows hang on it; none where it is answered. */
    rows: z.number().int(),
  }),
]);
export type Question = z.infer<typeof Question>;

/** So many cells are shown beside a question, and so many things are asked about. */
const examplesShown = 3;
const thingsAsked = 40;

type ThingAsked = Extract<Question, { about: 'thing' }>;

/** What a row that was not understood asks about, with what may be answered. */
function asked(row: Unread, legend: ReadonlyMap<string, string>, labels: readonly string[]): ThingAsked | null {
  const ask = (code: ThingQuestion, thing: string, choices: readonly string[], says = ''): ThingAsked => ({
    about: 'thing',
    code,
    thing,
    choices: [...choices],
    says,
    rows: 0,
  });
  const data = row.data ?? {};
  switch (row.code) {
    case 'unknown-parameter':
    case 'unknown-unit':
      return row.cell === '' ? null : ask(row.code, row.cell, []);
    case 'unknown-flag': {
      const flag = bareFlag(String(data['flag']));
      return ask('unknown-flag', flag, [], legend.get(flag) ?? '');
    }
    case 'near-label':
      return ask('near-label', row.cell, [...String(data['labels']).split(', '), '']);
    case 'unknown-label':
      return row.cell === '' ? null : ask('unknown-label', row.cell, [...labels, '']);
    case 'swapped':
      return ask('swapped', String(data['own']), [String(data['own']), String(data['label'])]);
    case 'two-results':
      return ask('two-results', String(data['key']), String(data['lines']).split(', '));
    default:
      return null;
  }
}

/** A cell with what was measured in its row. */
const sayCell = ({ cell, data }: Unread) => (data?.['of'] === undefined || data['of'] === cell ? cell : `${data['of']}, ${cell}`);

/** The first cells of rows, each once, with their lines. */
const exampleCells = (rows: readonly Unread[], parts: readonly FilePart[]): string[] =>
  [...new Map(rows.map((row) => [row.cell, `${sayLine(parts, row.line)}: ${sayCell(row)}`])).values()].slice(0, examplesShown);

/** What has to be said of a file before all of it can be read, or was said already. */
export function questionsOf(
  { unread, apart }: { unread: readonly Unread[]; apart: readonly Unread[] },
  mapping: Mapping,
  parts: readonly FilePart[],
  legend: ReadonlyMap<string, string>,
  labels: readonly string[],
): Question[] {
  const ofFile = (Object.keys(fileQuestions) as FileQuestion[]).flatMap((code): Question[] => {
    const hanging = unread.filter((row) => row.code === code);
    const rows = hanging.length;
    const cells = [...new Set(hanging.map((row) => row.cell))];
    const isAsked = cells.length > 0 || mapping[fileQuestions[code].key] !== undefined;
    return isAsked ? [{ about: 'file', code, examples: cells.slice(0, examplesShown), rows }] : [];
  });
  const ofRows = confirmCodes.flatMap((code): Question[] => {
    const rows = unread.filter((row) => row.code === code);
    const isAsked = rows.length > 0 || mapping.confirmed?.[code] !== undefined;
    return isAsked ? [{ about: 'rows', code, examples: exampleCells(rows, parts), rows: rows.length }] : [];
  });
  const things = new Map<string, ThingAsked>();
  for (const row of unread) {
    const one = asked(row, legend, labels);
    if (!one) continue;
    const key = `${one.code} ${one.thing}`;
    const there = things.get(key) ?? (things.size < thingsAsked ? one : null);
    if (there) things.set(key, { ...one, rows: there.rows + 1 });
  }
  // What was answered stays to be seen, and may be answered otherwise.
  for (const [flag, meaning] of Object.entries(mapping.flags ?? {}))
    things.set(`unknown-flag ${flag}`, {
      about: 'thing',
      code: 'unknown-flag',
      thing: flag,
      choices: [meaning],
      says: legend.get(flag) ?? '',
      rows: 0,
    });
  for (const [name, label] of Object.entries(mapping.labels ?? {}))
    things.set(`unknown-label ${name}`, {
      about: 'thing',
      code: 'unknown-label',
      thing: name,
      choices: [...new Set([label, ...labels, ''])],
      says: '',
      rows: 0,
    });
  for (const code of ['unknown-parameter', 'unknown-unit'] as const)
    for (const [thing, value] of Object.entries(mapping[thingQuestions[code].key] ?? {}))
      things.set(`${code} ${thing}`, { about: 'thing', code, thing, choices: [value], says: '', rows: 0 });
  for (const [key, line] of Object.entries(mapping.runs ?? {})) {
    const lines = apart.filter((row) => row.code === 'not-chosen' && row.data?.['key'] === key).map((row) => String(row.line));
    things.set(`two-results ${key}`, { about: 'thing', code: 'two-results', thing: key, choices: [line, ...lines], says: '', rows: 0 });
  }
  // What most rows hang on is asked first.
  const byRows = (a: Question, b: Question) => b.rows - a.rows;
  return [...[...ofFile, ...ofRows].sort(byRows), ...[...things.values()].sort(byRows)];
}

import type { ParameterId } from '../../parameters/index.ts';
import type { UnitId } from '../../units/index.ts';
import type { Data } from '../../findings/index.ts';
import type { BottleAtLab, BottlesByLabel } from '../at-lab.ts';
import { possibleDays, timeOfDay } from '../cells/dates.ts';
import { fractionCalled, named, unitCalled, type CalledUnit } from '../cells/names.ts';
import { longestResult, readValue, type CellStyle } from '../cells/value.ts';
import { isQuality, type Whose } from './labels.ts';
import type { Mapping, Role } from '../mapping.ts';
import { notAnalysed, type TableRow, type Unread } from '../shape/table.ts';

export interface Reader {
  cell: (role: Role) => string;
  fail: (role: Role, code: string, data?: Data) => Unread;
}

export function reader(row: TableRow, mapping: Mapping): Reader {
  const at = (role: Role) => mapping.columns[role];
  const cell = (role: Role) => {
    const column = at(role);
    return column === undefined ? '' : (row.cells[column] ?? '');
  };
  return {
    cell,
    fail: (role, code, data) => {
      const column = at(role) ?? 0;
      return {
        code,
        ...(data ? { data } : {}),
        line: row.line,
        column: (row.places?.[column] ?? column) + 1,
        cell: cell(role).slice(0, 80),
      };
    },
  };
}

/** A function of texts that a file repeats from row to row, worked out once for each. */
function once<R>(work: (text: string) => R): (text: string) => R {
  const known = new Map<string, R>();
  return (text) => {
    let result = known.get(text);
    if (result === undefined) known.set(text, (result = work(text)));
    return result;
  };
}

/** A cell of a limit with the unit that may stand behind its number; `code` where it holds something that is none. */
interface LimitCell {
  value: number | null;
  unit: CalledUnit | null;
  code?: string;
}

function limitCell(text: string, style: CellStyle): LimitCell {
  if (text === '' || notAnalysed.test(text)) return { value: null, unit: null };
  const split = splitUnit(text);
  const read = readValue(split?.number ?? text, '', style);
  if (!read.ok || read.value === null)
    return { value: null, unit: null, code: read.ok || read.code !== 'thousand-or-decimal' ? 'not-a-limit' : read.code };
  return { value: read.value, unit: split?.unit ?? null };
}

const unitNext = /^([<>≤≥]?\s*[\d.,\s]*\d(?:e[+-]\d{1,2})?(?:\s*(?:±|\+\/-)\s*[\d.,]+)?)\s*([^\d\s.,±].{0,40})$/i;

/** A number and the unit behind it in one cell: `0.34 mg/L`. */
export function splitUnit(cell: string): { number: string; unit: CalledUnit } | null {
  // A number alone needs no second look: most cells are one.
  if (cell.length > longestResult || !/[a-z%µμ°]/i.test(cell)) return null;
  const match = unitNext.exec(cell.trim());
  const called = match && unitCalled(match[2]!);
  return called ? { number: match[1]!, unit: called } : null;
}

/** What the words of a file mean; its reporting limits, unlike its results, are few. */
export function fileWords(style: CellStyle) {
  return {
    named: once(named),
    unit: once(unitCalled),
    fraction: once((text) => fractionCalled(text, { letters: true })),
    days: once(possibleDays),
    time: once(timeOfDay),
    limit: once((text) => limitCell(text, style)),
    isQuality: once((text) => isQuality(...(text.split('\u0000') as [string, string]))),
  };
}
export type FileWords = ReturnType<typeof fileWords>;

/** Everything that a row is read with. */
export interface RowContext {
  mapping: Mapping;
  bottles: BottlesByLabel;
  style: CellStyle;
  words: FileWords;
  whose: (name: string) => Whose;
  /** The bottles that were filled at a day and a minute, by both as they are written. */
  filledAt: ReadonlyMap<string, readonly [string, BottleAtLab][]>;
  /** Units that stand in the headings of columns. */
  headed: Partial<Record<Role, CalledUnit | '%'>>;
  /** The client whose rows have our labels, where the file names several; null where it does not. */
  client: string | null;
  /** Numbers of the lab that stand beside more than one sample. */
  twiceNumbered: ReadonlySet<string>;
  /** The visits that codes of points stand for. */
  visits: ReadonlyMap<string, string>;
  /** What the file gives in more than one unit. */
  inSeveralUnits: ReadonlySet<ParameterId>;
  /** What the file itself says that ppt is: `ppt (ng/L)`. */
  pptIs: UnitId | null;
}

/** Bottles by the day and the minute of their filling. */
export function byFilling(bottles: BottlesByLabel): RowContext['filledAt'] {
  const found = new Map<string, [string, BottleAtLab][]>();
  for (const [label, bottle] of bottles) {
    const key = `${bottle.filledOn} ${bottle.filledTime}`;
    const there = found.get(key);
    if (there) there.push([label, bottle]);
    else found.set(key, [[label, bottle]]);
  }
  return found;
}

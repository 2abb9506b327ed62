import { named } from '../cells/names.ts';
import { unitCalled } from '../cells/units.ts';
import { readValue } from '../cells/value.ts';
import { tableOfLines, type LabTable, type TableRow } from './table.ts';

/** What a line says: `Nitrate: 23.4 mg/L (repeated)`. */
interface Statement {
  name: string;
  result: string;
  unit: string;
  remark: string;
}

/** A line or a cell of prose is longer. */
const longest = 160;
/** Names, numbers and words of a result have so many words at most. */
const mostWords = 12;

/** Behind a name: a colon, dots, a mark of equality or several blanks. */
const between = /\s*(?:[:：=]|\.{2,}|…+|\s[–—-]\s|\s{2,}|\t)\s*/u;
/** What a line of a letter begins with. */
const bullet = /^(?:[>|\s]*)(?:[-–•*·]\s+|\d{1,2}[.)]\s+)?/u;
const inBrackets = /\s*[([]([^()[\]]*)[)\]]\s*$/u;

/** A result and its unit, where a text is nothing else. */
function resultIn(text: string): { result: string; unit: string } | null {
  const words = text.split(/\s+/);
  if (words.length > mostWords) return null;
  // The longest result: `< 5 µg/L`, `inf. à 5 mg/L`.
  for (let count = words.length; count > 0; count -= 1) {
    const [result, unit] = [words.slice(0, count).join(' '), words.slice(count).join(' ')];
    if (readValue(result, '').ok && (unit === '' || unitCalled(unit) !== null)) return { result, unit };
  }
  return null;
}

/** A name and what follows it, at a mark between them; without a mark, where a name that is known ends before a result. */
function halves(line: string): { name: string; rest: string; isMarked: boolean }[] {
  const marked = between.exec(line);
  const all =
    marked && marked.index > 0
      ? [{ name: line.slice(0, marked.index), rest: line.slice(marked.index + marked[0].length), isMarked: true }]
      : [];
  const words = line.split(/\s+/);
  const plain = words.slice(1).map((_, index) => ({
    name: words.slice(0, index + 1).join(' '),
    rest: words.slice(index + 1).join(' '),
    isMarked: false,
  }));
  return [...all, ...plain];
}

function statementIn(text: string): Statement | null {
  const line = text.replace(bullet, '').trim();
  if (line === '' || line.length > longest) return null;
  for (const { name, rest, isMarked } of halves(line)) {
    const known = named(name) !== null;
    if (!known && !isMarked) continue;
    const remark = inBrackets.exec(rest);
    const tries = remark
      ? [
          { rest, remark: '' },
          { rest: rest.slice(0, remark.index), remark: remark[1]! },
        ]
      : [{ rest, remark: '' }];
    for (const one of tries) {
      const result = resultIn(one.rest.trim());
      // Of a name that nobody knows, only a unit tells that something was measured.
      if (result && (known || result.unit !== '')) return { name, ...result, remark: one.remark };
    }
  }
  return null;
}

/**
 * The table that lines of a letter are: `Nitrate: 23.4 mg/L`, one to a line, below the sample of which they are said. Null where no line says so
 * much of something that is known.
 */
export function tableOfStatements(text: string): LabTable | null {
  const lines = text.split(/\r\n|\r|\n/).map((line, index) => ({ line: index + 1, text: line.trim(), says: statementIn(line) }));
  const first = lines.find(({ says }) => says !== null && named(says.name) !== null);
  if (!first) return null;
  const rows = lines.flatMap(({ line, text: whole, says }): TableRow[] => [
    ...(line === first.line ? [{ line, cells: ['Parameter', 'Result', 'Unit', 'Remarks'] }] : []),
    { line, cells: says ? [says.name, says.result, says.unit, says.remark] : [whole] },
  ]);
  const parsed = tableOfLines(rows);
  return 'table' in parsed ? parsed.table : null;
}

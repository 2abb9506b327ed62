import { say, type Coded, type Data, type Words } from '../findings/index.ts';
import { parameter, type ParameterId } from '../parameters/index.ts';
import { sayLine, type FilePart } from './shape/sheets.ts';
import type { Unread } from './shape/table.ts';
import { showTyped, unitLabel, type UnitId } from '../units/index.ts';
import { inBook, type Says } from '../book/index.ts';
import {
  comparedByHand,
  type HandOutcome,
  reportPutAside,
  reportRead,
  reportReceived,
  resultsGivenUp,
  resultTold,
  toldForms,
  rowsSettled,
} from './entries.ts';

export const readWords: Words = {
  'report-twice': 'This report is here already.',
  'no-such-report': 'There is no such report in this round.',
  'put-aside': 'This report is put aside already.',
  'not-read': 'This report is not read yet.',
  'not-of-bottle': 'This is not measured in that bottle.',
  'read-by-fonte': ({ bottle }) => `The results of ${bottle} are read from its report; nothing is compared by hand.`,
  'told-later': 'This is later than now.',
  'not-told': 'This cannot be a result of it. Is it the unit?',
  'replaces-unsaid': ({ name }) => `${name} says something else about the same. Say whether this report replaces it.`,
};

const ofParameter = ({ parameter: id }: Data) => parameter(id as ParameterId);

/** Why a file is no table, why its columns do not do, and why a row or a cell was not understood. */
const placeWords: Words = {
  empty: 'The file is empty.',
  'too-many-rows': ({ most }) => `There are more than ${most} rows.`,
  'too-many-columns': ({ most }) => `There are more than ${most} columns.`,
  'cell-too-long': ({ most }) => `A cell holds more than ${most} letters.`,
  'too-much': 'Reading this file takes more time or memory than a report should.',
  'not-text':
    'This is not CSV, an Excel workbook (.xlsx), a PDF or a message (.eml). It holds bytes that no text has. Save the report as one of them.',
  picture: 'This is a picture of a report. It is kept; type the results in that you read on it.',
  'no-message': 'This message is damaged and cannot be read. Save what is attached to it, and take that in.',
  'nothing-in-message': 'No table was found in this message or in what is attached to it. Type the results in, or ask the lab for a file.',
  'no-pdf': 'This PDF is damaged and cannot be read. Ask the lab for it again, or type the results in.',
  'pdf-locked': 'This PDF needs a password. Save it without one, or type the results in.',
  'pdf-picture': 'This PDF holds pictures of pages and no text. Type the results in.',
  'too-many-pages': ({ most }) => `This PDF has more than ${most} pages.`,
  'not-a-table': 'This is markup, or JSON that holds no list of results. Export the report as CSV.',
  'no-workbook': 'This is no Excel workbook that can be read. Export the report as CSV.',
  'several-sheets': 'Several sheets have tables. Choose the ones with the results of this report.',
  quotes: 'A quotation mark is not closed or stands in the wrong place.',
  'no-columns': 'No row with column names was found: at least three columns are needed.',
  'no-rows': 'There is a header and no row below it.',
  'no-such-column': ({ column }) => `There is no column ${column}.`,
  'column-twice': ({ heading }) => `Column “${heading}” has two roles.`,
  'no-result-column': 'No column holds the results. The reporting limit is not the result. Choose it above.',
  'limit-as-result': ({ heading }) => `Column “${heading}” is called a limit. A limit is not the result.`,
  'no-parameter-column': 'No column says what was measured. Choose it above.',
  'no-sample-column': 'No column names the sample. Choose it above.',
  'few-cells': 'The row has too few cells.',
  'no-label': 'The sample is not named.',
  'unknown-label': 'No bottle of this round that the lab has carries this label.',
  'unknown-parameter': 'Not a parameter that is known here.',
  'other-bottle': ({ bottle }) => `Cannot be told from a bottle for ${bottle}.`,
  'two-results': ({ lines, places }) => `${places ?? `Lines ${lines}`} differ about the same thing. Choose one above.`,
  'same-again': 'The same result once more.',
  'not-chosen': 'Another line was chosen.',
  'not-analysed': 'Not analysed, or not yet.',
  quality: 'The lab’s own quality control.',
  'other-sample': 'A sample that is not of this round.',
  note: 'A remark.',
  'not-at-lab': 'This bottle was refused, thrown away or never handed over: the lab can have no result of it.',
  'near-label': ({ labels }) => `Not a label of this round. ${labels}? Say which.`,
  'two-labels': ({ label }) => `${label} stands in the same row.`,
  swapped: ({ label }) => `This is the time at which ${label} was taken. Are two samples exchanged? Say so above.`,
  'unknown-column': 'Nobody knows what this column says.',
  'flags-of-what': 'These look like flags, and nobody knows whose. No number of this file is read until the column has a name.',
  'other-header': 'It stands below other column names than the first.',
  'unknown-fraction': 'Neither total nor dissolved.',
  'fraction-contradicts': 'Name and column say different things about total and dissolved.',
  fraction: 'Total or dissolved? Other rows of this file say it. Say which.',
  ppt: 'Parts in a thousand or in a million million? Say which.',
  'conductivity-at': 'At 20 or at 25 °C? Neither name nor unit says it. Say which.',
  'not-a-limit': 'This is no limit that can be read, and without it nobody knows what the lab could see.',
  'limit-unit': 'The limit beside it has a unit that does not fit.',
  'limits-swapped': 'The detection limit is over the reporting limit. Are the columns exchanged?',
  'not-an-uncertainty': 'This is no uncertainty.',
  'no-result': 'The result is empty.',
  'result-long': 'It is too long for a result.',
  'not-a-result': 'This is no result.',
  'thousand-or-decimal': 'It may be a thousand or a decimal. Say which.',
  'other-decimal': 'It has another decimal mark than the rest of the file.',
  rejected: ({ flag }) => `The lab marks it “${flag}”: it does not stand by this number.`,
  'unit-contradicts': 'Name and unit column have different units.',
  'basis-contradicts': 'Name and unit say different things about how it is given.',
  contradicts: 'Result and flag say different things.',
  negative: 'It is negative.',
  'unknown-flag': ({ flag }) => `Nobody knows what “${flag}” beside the number means. Say it above.`,
  'no-unit': 'The unit is missing.',
  'unknown-unit': 'Not a unit that is known here.',
  'wrong-unit': (data) => `${unitLabel(data['unit'] as UnitId)} is not a unit of ${ofParameter(data).name.toLowerCase()}.`,
  'phosphorus-as': 'As phosphorus or as phosphate? Neither name nor unit says it. Say which.',
  'silica-as': 'As silicon or as silica (SiO₂)? Neither name nor unit says it. Say which.',
  'nitrogen-as': 'As nitrogen or as the ion? Neither name nor unit says it. Say which.',
  'cannot-be': (data) => `${ofParameter(data).name} cannot be ${data['value']} ${unitLabel(ofParameter(data).unit)}. Is it the unit?`,
  'other-time': ({ time }) => `The book says ${time}.`,
  'left-out': 'Left out, as you said.',
  'hardness-as': 'As calcium carbonate, as calcium oxide or as calcium? Neither name nor unit says it. Say which.',
  'alkalinity-as': 'As calcium carbonate or as bicarbonate? Neither name nor unit says it. Say which.',
  'fraction-of-bottle': ({ bottle, said }) => `The report says ${said}, and this bottle holds the ${bottle} metal. Say who is right.`,
  'under-own-limit': 'This number is below the lab’s own limit, and nothing says why.',
  'bound-under-limit': 'Less than a number that is itself below the reporting limit.',
  'unit-slip':
    'This is far from what is usual, and the limit beside it has another unit or is a thousand times smaller. Is the unit right?',
  'outside-interval': 'The interval beside this number does not hold it.',
  'part-over-whole': 'There is more of the part than of the whole: dissolved over total, or chromium (VI) over chromium.',
  'two-columns': ({ other }) => `Another column of results says ${other}.`,
  'point-contradicts': ({ point }) => `The row names the point ${point}, and the label another one.`,
  'lab-number-twice': 'This number of the lab stands for two samples.',
  'no-client': 'The row names no client, and the file has several.',
  unusual: (data) => `${ofParameter(data).name} is not usually found so high or so low. Is it the unit?`,
  'other-day': ({ day }) => `The book says ${day}.`,
};

/** What is wrong with a file or a place in it, as a sentence. */
export const sayPlace = (place: Coded): string => say(placeWords, place);

/** Why a row was not understood, with other lines by their sheet or page where the file has several. */
export function sayRow(parts: readonly FilePart[], row: Unread): string {
  const { lines } = row.data ?? {};
  if (lines === undefined || parts.length === 0) return sayPlace(row);
  const places = String(lines)
    .split(', ')
    .map((line) => sayLine(parts, Number(line)))
    .join(' and ');
  return sayPlace({ ...row, data: { ...row.data, places } });
}

/** What is wrong with a file, as a sentence, and where: not of a file in which nothing has a place. */
export function sayFault({ line, column, ...fault }: Coded & { line: number; column: number }): string {
  return line > 0 ? `${sayPlace(fault)} Line ${line}, column ${column}.` : sayPlace(fault);
}

const sourceNames = { lab: 'From the lab', upload: 'Taken in as a file', typed: 'Typed off paper' } as const;

/** What a comparison by hand came to, for people. */
export const handOutcomeNames: Record<HandOutcome, string> = { meets: 'Meets', over: 'Over a limit', 'cannot-tell': 'Cannot be told' };

export const readSays: readonly Says[] = [
  inBook(
    reportReceived,
    ({ name, from, sha256, fault }) =>
      `${name}. ${sourceNames[from]}, kept under ${sha256.slice(0, 16)}….${fault ? ` It cannot be read: ${sayPlace(fault)}` : ''}`,
  ),
  inBook(
    reportRead,
    ({ sha256, results, unread }) =>
      `${results.length} results of ${sha256.slice(0, 16)}… written down${unread > 0 ? `; ${unread} rows were not understood` : ''}.`,
  ),
  inBook(resultTold, ({ bottle, parameter: id, form, result, as, by }) => {
    const sign = form === 'below' ? '< ' : form === 'above' ? '> ' : '';
    const said = result ? `${sign}${showTyped(result)}${as === 'N' ? ' N' : ''}` : toldForms[form].name.toLowerCase();
    return `${bottle}: ${parameter(id).name} ${said}, told by ${by}.`;
  }),
  inBook(
    resultsGivenUp,
    ({ bottle, parameters, reason }) => `${bottle}: ${parameters.map((id) => parameter(id).name).join(', ')}. ${reason}`,
  ),
  inBook(comparedByHand, ({ set, outcome, words }) => `${set}: ${handOutcomeNames[outcome].toLowerCase()}. ${words}`),
  inBook(rowsSettled, ({ sha256, reason }) => `Rows of ${sha256.slice(0, 16)}…: ${reason}`),
  inBook(reportPutAside, ({ sha256, reason }) => `${sha256.slice(0, 16)}…: ${reason}`),
];

import { z } from 'zod';
import { roleCalled } from './shape/heading.ts';
import { layouts } from './tables/layouts.ts';
import { roles } from './tables/headings.ts';
import { ParameterId } from '../parameters/index.ts';
import { unitIds } from '../units/index.ts';
import { confirmAnswers, confirmCodes } from './tables/to-confirm.ts';
import { fractions } from './tables/fractions.ts';
import { flagMeaningNames } from './tables/flags.ts';
import type { LabTable, Refusal } from './shape/table.ts';

export { roleNames, roles, type Role } from './tables/headings.ts';

const text = z.string().max(200);
const answers = <V extends z.ZodType>(value: V) =>
  z
    .record(text, value)
    .refine((record) => Object.keys(record).length <= 200, { error: 'These are more answers than a file has questions.' })
    .optional();

/** Which column, counted from 0, has which role, and what a person said of the file. Columns without a role are left unread. */
export const Mapping = z.object({
  columns: z.partialRecord(z.enum(roles), z.number().int().min(0).max(500)),
  /** How results stand in the table; one to a row where it is left out. */
  layout: z.enum(layouts).optional(),
  /** How nitrogen compounds are expressed where neither name nor unit says it. */
  nitrogenAs: z.enum(['N', 'ion']).optional(),
  /** How phosphate and phosphorus are. */
  phosphorusAs: z.enum(['P', 'ion']).optional(),
  /** How silica is. */
  silicaAs: z.enum(['Si', 'ion']).optional(),
  /** The temperature in °C that conductivity is given at where neither name nor unit says it. */
  conductivityAt: z.enum(['20', '25']).optional(),
  /** What hardness in mg/L is expressed as, and alkalinity. */
  hardnessAs: z.enum(['CaCO3', 'CaO', 'Ca']).optional(),
  alkalinityAs: z.enum(['CaCO3', 'HCO3']).optional(),
  /** The mark before decimals, where the numbers of the file do not show it. */
  decimals: z.enum(['point', 'comma']).optional(),
  /** Parts in a thousand, or in a million million. */
  ppt: z.enum(['thousand', 'trillion']).optional(),
  /** What results of metals are that do not say it, in a file in which others do. */
  fraction: z.enum(fractions).optional(),
  /** Who is right where a report calls a metal total that was filtered, or dissolved that was not. */
  fractionBy: z.enum(['report', 'bottle']).optional(),
  /** What is to become of rows that contradict themselves, by what is wrong with them. */
  confirmed: z.partialRecord(z.enum(confirmCodes), z.enum(confirmAnswers)).optional(),
  /** What a name means that is not known here; nothing that is read where it is empty. Kept with the lab. */
  names: answers(z.union([ParameterId, z.literal('')])),
  /** What a unit means that is not known here. Kept with the lab. */
  units: answers(z.enum(unitIds)),
  /** What a flag means in this file. */
  flags: answers(z.enum(flagMeaningNames)),
  /** The bottle that a name in the file stands for; none of ours where it is empty. */
  labels: answers(text),
  /** Of several results for one thing, the line that holds. */
  runs: answers(z.string().regex(/^\d{1,7}$/)),
  /** Reports that this one replaces, by their hash: as a whole, or in what it repeats. */
  replaces: answers(z.enum(['whole', 'repeated'])),
  /** That the column of the results is called a limit, and is none. */
  isLimitTheResult: z.literal(true).optional(),
  /** The sheets of a workbook that hold the results of this report. */
  sheets: z.array(text).min(1).max(50).optional(),
  /** Whether the lab will send another one for it. */
  status: z.enum(['preliminary', 'final']).optional(),
});
export type Mapping = z.infer<typeof Mapping>;

/** How a person said that a report with these column names is to be read. */
export interface Remembered {
  header: readonly string[];
  mapping: Mapping;
}

/** The names of columns as they are compared and kept: cut where no heading is as long. */
export const headerOf = (table: Pick<LabTable, 'header'>): string[] => table.header.map((name) => name.slice(0, 200));

/**
 * The latest of what is remembered that was said of the very same columns, or null.
 * @param tableBy the table that is read with a mapping; null where it has no such sheets
 */
export function recall(tableBy: (mapping: Mapping) => LabTable | null, remembered: readonly Remembered[]): Mapping | null {
  const isSame = (one: Remembered) => {
    const table = tableBy(one.mapping);
    const header = table ? headerOf(table) : [];
    return table !== null && one.header.length === header.length && one.header.every((name, index) => name === header[index]);
  };
  const found = remembered.find(isSame)?.mapping;
  return found ? ofTheLab(found) : null;
}

/** What of a mapping holds for the next report of the lab: names, runs and what it replaces are of one file. */
function ofTheLab({
  labels: _labels,
  confirmed: _confirmed,
  runs: _runs,
  replaces: _replaces,
  status: _status,
  ...rest
}: Mapping): Mapping {
  return rest;
}

const limits: readonly string[] = ['reportingLimit', 'detectionLimit', 'limit'];

const neededIn = { long: ['result', 'parameter', 'sample'], wide: ['sample'], transposed: ['parameter'] } as const;

/** Why a mapping cannot be read with, naming the header's line; null when it can. */
export function refuseMapping(table: LabTable, mapping: Mapping): Refusal | null {
  const place = { line: table.headerLine, column: 1 };
  const beyond = Object.values(mapping.columns).find((column) => column >= table.header.length);
  if (beyond !== undefined) return { code: 'no-such-column', data: { column: beyond + 1 }, line: table.headerLine, column: beyond + 1 };
  const missing = neededIn[mapping.layout ?? 'long'].find((role) => mapping.columns[role] === undefined);
  if (missing) return { code: `no-${missing}-column`, ...place };
  const { result } = mapping.columns;
  const called = result === undefined ? null : roleCalled(table.header[result] ?? '');
  if (called && limits.includes(called) && !mapping.isLimitTheResult)
    return { code: 'limit-as-result', data: { heading: table.header[result!] ?? '' }, line: table.headerLine, column: result! + 1 };
  const columns = Object.values(mapping.columns);
  const doubled = columns.find((column, index) => columns.indexOf(column) !== index);
  if (doubled !== undefined)
    return { code: 'column-twice', data: { heading: table.header[doubled] ?? '' }, line: table.headerLine, column: doubled + 1 };
  return null;
}

import { parameter, type ParameterId } from '../../parameters/index.ts';
import type { BottlesByLabel } from '../at-lab.ts';
import { named } from '../cells/names.ts';
import type { LabResult } from '../entries.ts';
import type { Mapping } from '../mapping.ts';
import type { TableRow, Unread } from '../shape/table.ts';
import { partMayBe, partsOfWholes } from '../tables/parts.ts';
import { reader } from './context.ts';
import { stepOfDigits } from './unusual.ts';

/*
 * What rows say together that each of them reads well alone.
 */

/** One thing that was measured: a parameter in a bottle, by its fraction. */
export const keyOf = ({ bottle, parameter: id, fraction }: LabResult) => `${bottle} ${id}${fraction ? ` ${fraction}` : ''}`;

export interface Read {
  row: TableRow;
  result: LabResult;
  /** The columns of the table that it stands in. */
  mapping: Mapping;
}

const stepOf = ({ value, written }: LabResult) => stepOfDigits(written.result, value);

/** Whether two results of one thing that are given in other words, as 2.26 mg/L N and 10.0 mg/L NO₃, are one by the digits that they have. */
function agree(a: Read, b: Read): boolean {
  const [one, other] = [a.result, b.result];
  const unitOf = ({ row, result, mapping }: Read) => reader(row, mapping).cell('unit').toLowerCase() || result.written.unit.toLowerCase();
  const apart = Math.log10(stepOf(one) / stepOf(other));
  // In one and the same unit and form a number is another number, however near it lies.
  if (unitOf(a) === unitOf(b) && Math.abs(apart - Math.round(apart)) < 1e-6) return false;
  if (one.form !== other.form || one.value === null || other.value === null || one.estimated !== other.estimated) return false;
  return Math.abs(one.value - other.value) <= ((stepOf(one) + stepOf(other)) / 2) * (1 + 1e-6);
}

/** Of results that agree the one with the most digits; of bounds the one that says the least. */
const finest = (all: readonly Read[]): Read =>
  [...all].sort((a, b) =>
    a.result.form === 'value' ? stepOf(a.result) - stepOf(b.result) : (b.result.value ?? 0) - (a.result.value ?? 0),
  )[0]!;

/** Of several results for one thing: the one that was chosen; the first where all are alike; else none. */
export function oneOf(
  several: readonly Read[],
  { mapping }: { mapping: Mapping },
): { kept: Read | null; apart: Unread[]; unread: Unread[] } {
  const [first, ...others] = several as [Read, ...Read[]];
  const as = (code: string, reads: readonly Read[], lines = '') =>
    reads.map(({ row, mapping: own }) => reader(row, own).fail('result', code, { key: keyOf(first.result), lines }));
  const chosen = several.find(({ row }) => mapping.runs?.[keyOf(first.result)] === String(row.line));
  if (chosen)
    return {
      kept: chosen,
      unread: [],
      apart: as(
        'not-chosen',
        several.filter((one) => one !== chosen),
      ),
    };
  const said = ({ result }: Read) => [result.form, result.value, result.inclusive ?? false, result.estimated, result.reportingLimit].join();
  if (others.every((one) => said(one) === said(first))) return { kept: first, unread: [], apart: as('same-again', others) };
  if (several.every((a) => several.every((b) => said(a) === said(b) || agree(a, b)))) {
    const kept = finest(several);
    return {
      kept,
      unread: [],
      apart: as(
        'same-again',
        several.filter((one) => one !== kept),
      ),
    };
  }
  return { kept: null, apart: [], unread: as('two-results', several, several.map(({ row }) => row.line).join(', ')) };
}

/** Whether a row itself says a fraction: a bottle's own is known without it. */
function saysFraction(row: TableRow, mapping: Mapping): boolean {
  const { cell } = reader(row, mapping);
  return cell('fraction') !== '' || (named(cell('parameter'))?.fraction ?? null) !== null;
}

/** Results of metals that do not say whether they are total or dissolved, in a file in which others do: asked about, or as it was said. */
export function withFractions(reads: Read[], mapping: Mapping): { reads: Read[]; unread: Unread[] } {
  // Of chromium (VI) “total” beside it is the other thing that is told apart.
  const isOpen = ({ result: { parameter: id, fraction } }: Read) =>
    parameter(id).isBound === true && id !== 'chromium6' && fraction === undefined;
  if (!reads.some(({ result, row, mapping: own }) => result.fraction && saysFraction(row, own))) return { reads, unread: [] };
  const { fraction } = mapping;
  if (fraction) return { reads: reads.map((one) => (isOpen(one) ? { ...one, result: { ...one.result, fraction } } : one)), unread: [] };
  return {
    reads: reads.filter((one) => !isOpen(one)),
    unread: reads.filter(isOpen).map(({ row, mapping: own }) => reader(row, own).fail('parameter', 'fraction')),
  };
}

/** Pairs of results of one bottle's point that cannot both be: of which there is more of the part than of the whole. */
export function partsOverWholes(reads: readonly Read[], bottles: BottlesByLabel): Set<Read> {
  const found = new Set<Read>();
  const byPoint = new Map<string, Read[]>();
  for (const one of reads) {
    const { visit } = bottles.get(one.result.bottle)!;
    const key = visit ?? one.result.bottle;
    byPoint.set(key, [...(byPoint.get(key) ?? []), one]);
  }
  for (const all of byPoint.values()) {
    if (all.length < 2) continue;
    const of = (id: ParameterId) => all.filter(({ result }) => result.parameter === id && result.form === 'value');
    const put = (parts: readonly Read[], wholes: readonly Read[]) => {
      for (const part of parts)
        for (const whole of wholes) if (part.result.value! > whole.result.value! * partMayBe) found.add(part).add(whole);
    };
    for (const { part, whole } of partsOfWholes) put(of(part), of(whole));
    for (const id of new Set(all.map(({ result }) => result.parameter))) {
      if (!parameter(id).isBound) continue;
      const ofFraction = (fraction: LabResult['fraction']) => of(id).filter(({ result }) => result.fraction === fraction);
      put(ofFraction('dissolved'), ofFraction('total'));
    }
  }
  return found;
}

import { parameter } from '../../parameters/index.ts';
import type { LabResult } from '../entries.ts';

/** Whether a number that was found, or a limit, is one that labs do not usually have: its unit may be wrong. */
export function isUnusual({ parameter: id, value, form, reportingLimit }: LabResult): boolean {
  const usual = parameter(id).usualAtLab;
  if (!usual) return false;
  const [least, most] = usual;
  const isFound = form === 'value' && value !== null && value > 0;
  return (isFound && (value < least || value > most)) || (reportingLimit !== null && reportingLimit > most);
}

/** The step of the last digit of a number as it was printed, in the unit that the number is given in: its digits alone tell it. */
export function stepOfDigits(text: string, value: number | null): number {
  const digits = Number((/\d[\d.,\s]*/.exec(text)?.[0] ?? '').replace(/\D/g, ''));
  return value === null || !(digits > 0) ? 0 : Math.abs(value) / digits;
}

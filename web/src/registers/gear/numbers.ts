import { sayNumber } from '@fonte/core/units';
import { readField } from '../../units/decimal.ts';
import type { FieldProblem } from '../../form/values.ts';

/** Numbers that are typed as text in a form whose schema keeps numbers; what is none is a problem at its field. */
export function numberReader() {
  const problems: FieldProblem[] = [];
  const number = <K extends string>(key: K, path: string, text: string): Partial<Record<K, number>> => {
    if (text.trim() === '') return {};
    const reading = readField(text);
    if (reading.ok) return { [key]: reading.value } as Record<K, number>;
    problems.push({ path, message: sayNumber(reading) });
    return {};
  };
  return { problems, number };
}

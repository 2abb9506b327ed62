import { readNumber, sayNumber, toBase, type Typed } from '@fonte/core/units';

/** What is wrong with a field: the path of its value, dotted. */
export interface FieldProblem {
  path: string;
  message: string;
}

const isTyped = (value: unknown): value is Typed =>
  typeof value === 'object' && value !== null && typeof (value as Typed).text === 'string' && typeof (value as Typed).unit === 'string';

/**
 * What a form holds as what a schema asks for: typed quantities as numbers in base units. An empty one is left out, as is an
 * empty text; what is no number is a problem at its field.
 */
export function inBase(values: unknown, path = ''): { value: unknown; problems: FieldProblem[] } {
  if (isTyped(values)) {
    if (values.text.trim() === '') return { value: undefined, problems: [] };
    const reading = readNumber(values.text);
    return reading.ok
      ? { value: toBase(reading.value, values.unit), problems: [] }
      : { value: undefined, problems: [{ path, message: sayNumber(reading) }] };
  }
  if (values === '') return { value: undefined, problems: [] };
  if (typeof values !== 'object' || values === null) return { value: values, problems: [] };
  const problems: FieldProblem[] = [];
  const below = (key: string | number, inner: unknown) => {
    const found = inBase(inner, path === '' ? String(key) : `${path}.${key}`);
    problems.push(...found.problems);
    return found.value;
  };
  const value = Array.isArray(values)
    ? values.map((inner, index) => below(index, inner))
    : Object.fromEntries(
        Object.entries(values)
          .map(([key, inner]) => [key, below(key, inner)] as const)
          .filter(([, inner]) => inner !== undefined),
      );
  return { value, problems };
}

/** The name by which Ant Design's form knows a dotted path. */
export const nameOf = (path: string): (string | number)[] => path.split('.').map((part) => (/^\d+$/.test(part) ? Number(part) : part));

import { refOf } from '@fonte/core/editions';
import { limitSets, type LimitSet } from '@fonte/core/limits';

import { ManySelect } from '../form/ManySelect.tsx';

interface Props {
  id?: string;
  /** Its name, where no label points to it. */
  label?: string;
  placeholder?: string;
  /** Names of editions; the first one leads. */
  value?: readonly string[] | null;
  /** What holds where nothing was chosen. */
  usual?: readonly string[];
  onChange?: (value: string[]) => void;
  /** The sets on offer. */
  sets: readonly LimitSet[];
}

/** The edition of every set that holds on a day (`YYYY-MM-DD`). */
export function setsOn(day: string): LimitSet[] {
  return limitSets.newest.flatMap(({ id }) => limitSets.on(id, day) ?? []);
}

/** What is offered on a day: the edition that holds of every set, and those that are chosen already. */
export function setsBeside(day: string, chosen: readonly string[]): LimitSet[] {
  const holding = setsOn(day);
  const kept = chosen.flatMap((ref) => limitSets.find(ref) ?? []).filter((set) => !holding.includes(set));
  return [...holding, ...kept];
}

/** A set by name; with its edition where another of the same name is on offer. */
const nameAmong = (set: LimitSet, sets: readonly LimitSet[]): string =>
  sets.some((other) => other !== set && other.name === set.name) ? `${set.name}, edition ${set.edition}` : set.name;

/** The choice of limit sets, in order. */
export function LimitSets({ id, label, placeholder = 'Choose at least one', value, usual = [], onChange = () => undefined, sets }: Props) {
  return (
    <ManySelect
      {...(id ? { id } : {})}
      {...(label ? { 'aria-label': label } : {})}
      style={{ width: '100%' }}
      value={[...(value ?? usual)]}
      onChange={onChange}
      maxCount={6}
      options={sets.map((set) => ({ value: refOf(set), label: nameAmong(set, sets) }))}
      placeholder={placeholder}
    />
  );
}

import { refOf } from '@fonte/core/editions';
import { limitSetNamed, limitSets, setOfOwn, type LimitSet } from '@fonte/core/limits';
import { refOfOwnSet, type OwnLimitSet } from '@fonte/core/registers';
import { showDate } from '@fonte/core/time';
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
  sets: readonly OfferedSet[];
}

/** A set on offer, and whether it is one of the house. */
export interface OfferedSet {
  set: LimitSet;
  isOwn: boolean;
}

/** The edition of every published set that holds on a day (`YYYY-MM-DD`). */
export function publishedOn(day: string): LimitSet[] {
  return limitSets.newest.flatMap(({ id }) => limitSets.on(id, day) ?? []);
}

/** What is offered on a day: the sets of the house in use, the edition that holds of every published set, and those that are chosen already. */
export function setsOffered(day: string, own: readonly OwnLimitSet[], chosen: readonly string[] = []): OfferedSet[] {
  const house = own.filter((one) => one.outOfUse === undefined || chosen.includes(refOfOwnSet(one)));
  const offered = [
    ...house.flatMap((one): OfferedSet[] => {
      const set = setOfOwn(one);
      return set ? [{ set, isOwn: true }] : [];
    }),
    ...publishedOn(day).map((set) => ({ set, isOwn: false })),
  ];
  const refs = new Set(offered.map(({ set }) => refOf(set)));
  const kept = chosen.flatMap((ref) => (refs.has(ref) ? [] : (limitSetNamed(ref, own) ?? [])));
  return [...offered, ...kept.map((set) => ({ set, isOwn: false }))];
}

/** The sets of the house among those that were chosen, whole: they go along with what names them. */
export function ownAmong(chosen: readonly string[], own: readonly OwnLimitSet[]): { ownLimits?: OwnLimitSet[] } {
  const named = own.filter((one) => chosen.includes(refOfOwnSet(one)));
  return named.length > 0 ? { ownLimits: named } : {};
}

/** Which edition a set is, and since when its rules hold. */
const about = ({ set: { edition, from, until }, isOwn }: OfferedSet): string =>
  isOwn ? 'of the house' : `edition ${edition}, rules from ${showDate(from)}${until ? ` to ${showDate(until)}` : ''}`;

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
      options={sets.map((one) => ({ value: refOf(one.set), label: one.set.name, about: about(one) }))}
      optionRender={({ label: name, data }) => (
        <span>
          {name} <span className="soft small">{(data as { about: string }).about}</span>
        </span>
      )}
      placeholder={placeholder}
    />
  );
}

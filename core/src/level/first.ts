import type { Data, Finding } from '../findings/index.ts';
import type { MeasuringPoint } from '../registers/index.ts';
import { base, type Typed } from '../units/index.ts';
import type { Beside } from './beside.ts';
import { slips } from './slips.ts';

/** The water of two wells may stand so far apart, in m: this, or so much of the way between them. Common practice: a steep water table. */
const mayDiffer = { least: 1, ofTheWay: 0.01 };

const isFeet = ({ unit }: Typed) => unit === 'ft';

/**
 * Asks about the first level of a well, which no record can question: where the water near by stands as high as another unit would have
 * it, or where the round's other levels were read in another unit. Else it says what was typed in both units.
 * @param others the levels of the same round at other wells, as they were typed
 * @example questionFirst({ typed: { text: '8.50', unit: 'ft' }, mark: {}, beside: [], others: [{ text: '7.1', unit: 'm' }] })[0].code // 'first-unit'
 */
export function questionFirst({
  typed,
  mark: { elevation },
  beside,
  others,
}: {
  typed: Typed;
  mark: MeasuringPoint;
  beside: readonly Beside[];
  others: readonly Typed[];
}): Finding[] {
  const depth = base(typed);
  const finding = (code: string, severity: Finding['severity'], data: Data): Finding[] => [{ code, severity, field: 'depth', data }];
  const near = beside.flatMap(({ name, away, levels }) => {
    const theirs = levels.at(-1)?.elevation ?? null;
    if (elevation === undefined || theirs === null) return [];
    const isLike = (of: number) => Math.abs(elevation - of - theirs) <= Math.max(mayDiffer.least, mayDiffer.ofTheWay * away);
    return [{ name, isLike: isLike(depth), slip: slips.find(({ times }) => isLike(depth * times)) }];
  });
  const [slipped] = near.every(({ isLike }) => !isLike) ? near.filter(({ slip }) => slip !== undefined) : [];
  if (slipped) return finding('first-slip', 'question', { as: slipped.slip!.as, would: depth * slipped.slip!.times, name: slipped.name });
  if (near.length === 0 && others.length > 0 && others.every((other) => isFeet(other) !== isFeet(typed)))
    return finding('first-unit', 'question', { depth, unit: typed.unit });
  return finding('first', 'note', { depth, unit: typed.unit });
}

import { shownSource } from '@fonte/core/editions';
import { groupsConcerned, sayMissing, type JudgedResult, type SumVerdict } from '@fonte/core/limits';
import { inText } from '@fonte/core/parameters';
import { showExact, showNumber, unitLabel } from '@fonte/core/units';
import { Mark } from '../theme/Mark.tsx';
import { How } from '../working/Figure.tsx';
import { verdictWords as words } from './verdictWords.ts';

/** Who has to be told of a number that others may drink. */
export function SomePeople({ of }: { of: readonly JudgedResult[] }) {
  const groups = groupsConcerned(of.map(({ result }) => result));
  if (groups.length === 0) return null;
  return (
    <ul className="plain stack" aria-label="For some people">
      {groups.map(({ parameter: id, over, unit, who, says, source }) => (
        <li key={id} className="finding question small">
          <Mark kind="question" />
          <span>
            <span className="strong">{who}:</span> {inText(id)} is over {showExact(over)} {unitLabel(unit)}. {says}{' '}
            <span className="soft">{shownSource(source)}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** A sum as far as it is known: from what was found to what may be there; against its own value, or as a share of 1. */
function SumNumber({ sum: { low, high, of } }: { sum: SumVerdict }) {
  const most = of?.most ?? 1;
  const shown = (share: number) => (of ? showExact(share * most) : showNumber(share, 2));
  const known =
    shown(low) === shown(high) ? shown(high) : Number.isFinite(high) ? `${shown(low)} to ${shown(high)}` : `${shown(low)} or more`;
  return (
    <span className="number">
      {known}
      <span className="unit">{of ? unitLabel(of.unit) : 'of 1'}</span>
    </span>
  );
}

/** A sum with its word, and how it came about. */
export function Sum({ sum }: { sum: SumVerdict }) {
  const [word, kind, tone] = words[sum.state];
  return (
    <li className={sum.state}>
      <span className="strong">{sum.rule.name}</span>
      <SumNumber sum={sum} />
      <span />
      <span className={`word tone-${tone}`}>
        <Mark kind={kind} />
        {word}
      </span>
      <span className="small soft">
        {sayMissing(sum)} {sum.rule.place}. <How working={sum.working} label="How it came about" />
      </span>
    </li>
  );
}

import { refOf } from '@fonte/core/editions';
import { sayBecause, type JudgedResult } from '@fonte/core/limits';
import { Mark } from '../theme/Mark.tsx';
import { verdictWords as words } from './verdictWords.ts';

/** What a result is against the sets beside the one that leads. */
export function Others({ of: { result, others } }: { of: JudgedResult }) {
  if (others.length === 0) return null;
  return (
    <ul className="others plain small">
      {others.map(({ set, verdict: other }) => (
        <li key={refOf(set)} className={`tone-${words[other.state][2]}`}>
          <Mark kind={words[other.state][1]} size={13} />
          {set.name}: {words[other.state][0].toLowerCase()}
          {other.state === 'no-value' ? '' : `. ${sayBecause(result.parameter, other.because)}`}
        </li>
      ))}
    </ul>
  );
}

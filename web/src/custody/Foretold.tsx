import type { Refusal } from '@fonte/core/custody';
import { sayAbout } from '@fonte/core/round';
import { Mark } from '../theme/Mark.tsx';

/** What a lab would refuse, whom it concerns and what to do now. */
export function Foretold({ of }: { of: readonly Refusal[] }) {
  if (of.length === 0) return null;
  return (
    <ul className="plain stack" aria-live="polite" aria-label="Foretold">
      {of.map((refusal) => {
        const { says, advice } = sayAbout(refusal);
        return (
          <li key={`${refusal.code} ${refusal.field} ${refusal.bottles.join()}`} className={`finding ${refusal.severity}`}>
            <Mark kind={refusal.severity} />
            <p>
              {says} {advice && <span className="soft">{advice}</span>}
            </p>
            {refusal.bottles.length > 0 && <p className="small strong">{refusal.bottles.join(', ')}</p>}
          </li>
        );
      })}
    </ul>
  );
}

import { missingTraining } from '@fonte/core/prepare';
import { training } from '@fonte/core/registers';
import { useRound } from '../book/useRound.ts';
import { useMe } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';

/** What this round asks of whoever goes, and the register does not say of this person. */
export function Training() {
  const { round } = useRound();
  const me = useMe();
  const missing = missingTraining(round.plan.visits, me);
  if (missing.length === 0) return null;
  return (
    <p className="finding question">
      <Mark kind="question" />
      <span>
        <span className="strong">
          The register does not say that {me.name} is trained for: {missing.map((id) => training(id).name).join('; ')}.
        </span>{' '}
        Go with somebody who is, or have it entered. Your employer’s rules come first.
      </span>
    </p>
  );
}

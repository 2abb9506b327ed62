import { fitnessNames, testKindNames, type Fitness, type FitnessFor } from '@fonte/core/arrive';
import { Mark, type MarkKind } from '../theme/Mark.tsx';

const marks: Record<Fitness, MarkKind> = { fit: 'good', caution: 'question', 'not-fit': 'stop' };

/** What the place is for each test that is planned: a word, a shape, a colour. */
export function Verdicts({ of }: { of: readonly FitnessFor[] }) {
  return (
    <ul className="plain verdicts" aria-label="Fit for what">
      {of.map(({ kind, fitness }) => (
        <li key={kind} className={`word tone-${marks[fitness]}`}>
          <Mark kind={marks[fitness]} size={20} />
          {testKindNames[kind]}: {fitnessNames[fitness].toLowerCase()}
        </li>
      ))}
    </ul>
  );
}

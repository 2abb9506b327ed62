import { roundGivenUp } from '@fonte/core/plan';
import { Reasoned } from '../book/Reasoned.tsx';
import { useRound } from '../book/useRound.ts';

/** Abandons the rest of a round, with a reason; says so where it was, and resumes it. */
export function GiveUp() {
  const { id, round } = useRound();
  return (
    <Reasoned
      kind={roundGivenUp}
      stood={round.givenUp}
      keep={`give-up.${id}`}
      words={{
        open: 'Abandon this round',
        title: 'Abandon the rest of this round',
        why: 'Why',
        write: 'Abandon it',
        back: 'Continue it',
        stood: 'Abandoned',
        what: round.plan.code,
        undo: 'Resume the round',
      }}
    >
      <p>Nothing more is asked for in the field. Bottles that are filled stay, with their clocks.</p>
    </Reasoned>
  );
}

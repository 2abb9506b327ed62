import { roundGivenUp } from '@fonte/core/plan';
import { Reasoned } from '../book/Reasoned.tsx';
import { useRound } from '../book/useRound.ts';

/** Gives the rest of a round up, with a reason; says so where it was. */
export function GiveUp() {
  const { id, round } = useRound();
  return (
    <Reasoned
      kind={roundGivenUp}
      stood={round.givenUp}
      keep={`give-up.${id}`}
      words={{
        open: 'Give this round up',
        title: 'Give the rest of this round up',
        why: 'Why',
        write: 'Give it up',
        back: 'Go on with it',
        stood: 'Given up',
        what: 'giving the round up',
      }}
    >
      <p>Nothing more is asked for in the field. Bottles that are filled stay, with their clocks.</p>
    </Reasoned>
  );
}

import { answerTaken, answerWays, comparedWith, type HandOver } from '@fonte/core/custody';
import { Correct } from '../book/Correct.tsx';
import { Mark } from '../theme/Mark.tsx';

const asked = {
  foretold: 'As Fonte had foretold.',
  missed: 'Fonte had not foretold this.',
  'false-alarm': 'Fonte had foretold a refusal.',
  'as-expected': '',
} as const;

/** What the lab answered, bottle by bottle, beside what had been foretold. */
export function Answer({ handOver }: { handOver: HandOver }) {
  const answer = handOver.answer!;
  const compared = comparedWith(handOver);
  const open = handOver.form.bottles.filter(({ bottle }) => !answer.bottles.some((line) => line.bottle === bottle));
  return (
    <>
      <p>
        Lab reference <span className="strong">{answer.reference}</span>
        {answer.taken && (
          <>
            . {answerWays[answer.taken.how]}, {answer.taken.whom}.{' '}
            <Correct entry={answer.taken.entry} kind={answerTaken} what="the lab’s answer" />
          </>
        )}
      </p>
      <ul className="bottle-list plain">
        {compared.map(({ bottle, accepted, reason, as }) => (
          <li key={bottle}>
            <span className={`word tone-${accepted ? 'good' : 'stop'}`}>
              <Mark kind={accepted ? 'good' : 'stop'} />
              {accepted ? 'Accepted' : 'Refused'}
            </span>
            <span>
              <span className="strong">{bottle}</span>
              {reason ? `: ${reason}` : ''}
              {asked[as] && <span className="small soft"> {asked[as]}</span>}
            </span>
          </li>
        ))}
        {open.map(({ bottle }) => (
          <li key={bottle}>
            <span className="word tone-note">
              <Mark kind="note" />
              Open
            </span>
            <span>
              <span className="strong">{bottle}</span>: the lab has not decided yet
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

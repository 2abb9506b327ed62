import { answerTaken, answerWays, comparedWith, refusalNames, type Compared, type HandOver } from '@fonte/core/custody';
import { say } from '@fonte/core/findings';
import { Correct } from '../book/Correct.tsx';
import { Mark } from '../theme/Mark.tsx';

/** What had been foretold, beside what became of it: whether the lab means the same is for a person to see. */
function saidBefore({ as, foretold }: Compared): string {
  const why = [...new Set(foretold.map((code) => say(refusalNames, { code })))].join(', ');
  return {
    foretold: `As Fonte had foretold: ${why}.`,
    missed: 'Fonte had not foretold this.',
    'false-alarm': `Fonte had foretold a refusal: ${why}.`,
    'as-expected': '',
  }[as];
}

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
        {compared.map((one) => {
          const { bottle, accepted, reason } = one;
          const before = saidBefore(one);
          return (
            <li key={bottle}>
              <span className={`word tone-${accepted ? 'good' : 'stop'}`}>
                <Mark kind={accepted ? 'good' : 'stop'} />
                {accepted ? 'Accepted' : 'Refused'}
              </span>
              <span>
                <span className="strong">{bottle}</span>
                {reason ? `: ${reason}` : ''}
                {before && <span className="small soft"> {before}</span>}
              </span>
            </li>
          );
        })}
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

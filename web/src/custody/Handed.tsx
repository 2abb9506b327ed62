import { askIntake, handedOver, type HandOver } from '@fonte/core/custody';
import { showTyped } from '@fonte/core/units';
import { Button } from 'antd';
import { May } from '../session/May.tsx';
import { Link } from 'react-router';
import { call } from '../api/call.ts';
import { Field } from '../form/Field.tsx';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { send } from '../book/send.ts';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';

export function Handed({ handOver }: { handOver: HandOver }) {
  const { id, round, refresh } = useRound();
  const { busy, run, say } = useAction();
  const ask = () =>
    run(async () => {
      // The lab is asked about what the server knows: the hand-over itself may still be on its way.
      await send(id);
      await call(askIntake, { in: { round: id, entry: handOver.entry } });
      await refresh();
    });
  const { form, answer } = handOver;
  return (
    <section className="panel">
      <h2>
        {form.bottles.length} handed over, {showMoment(handOver.at, round.plan.zone)}
      </h2>
      <p>
        {form.releasedBy} to {form.receivedBy}. Cooler {showTyped(form.coolerTemperature)}
        {form.seal ? `, seal ${form.seal}` : ''}. Signed {form.signature}. <CorrectHandOver handOver={handOver} />
      </p>
      {!answer && !round.plan.lab && (
        <p>
          To {form.to}. <Link to={`/rounds/${id}/report`}>Take its report in when it comes</Link>
        </p>
      )}
      {!answer && round.plan.lab && (
        <>
          <Said say={say} />
          <div>
            <May do={askIntake}>
              <Button type="primary" size="large" loading={busy} onClick={() => void ask()}>
                Ask the lab for its answer
              </Button>
            </May>
          </div>
        </>
      )}
      {answer && (
        <>
          <p>
            Lab reference <span className="strong">{answer.reference}</span>
          </p>
          <ul className="bottle-list plain">
            {answer.bottles.map((line) => (
              <li key={line.bottle}>
                <span className={`word tone-${line.accepted ? 'good' : 'stop'}`}>
                  <Mark kind={line.accepted ? 'good' : 'stop'} />
                  {line.accepted ? 'Accepted' : 'Refused'}
                </span>
                <span>
                  <span className="strong">{line.bottle}</span>
                  {line.reason ? `: ${line.reason}` : ''}
                </span>
              </li>
            ))}
          </ul>
          {answer.bottles.some((line) => line.accepted) && (
            <Link className="strong" to={`/rounds/${id}/report`}>
              To the report
            </Link>
          )}
        </>
      )}
    </section>
  );
}

/** A hand-over can be put right like anything else; what follows from it is said before. */
function CorrectHandOver({ handOver: { entry, form } }: { handOver: HandOver }) {
  return (
    <Correct entry={entry} kind={handedOver} what="the hand-over" stands={form}>
      {() => (
        <>
          <Field name={['instead', 'coolerTemperature']} label="In the cooler" />
          <Field name={['instead', 'seal']} />
          <Field name={['instead', 'receivedBy']} />
        </>
      )}
    </Correct>
  );
}

import { askIntake, handedOver, type HandOver } from '@fonte/core/custody';
import { showTyped, type Typed } from '@fonte/core/units';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { call } from '../api/call.ts';
import { Labelled } from '../form/Labelled.tsx';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { numberError, TypedField } from '../units/TypedField.tsx';

export function Handed({ handOver }: { handOver: HandOver }) {
  const { id, round, refresh } = useRound();
  const { busy, run, say } = useAction();
  const ask = () =>
    run(async () => {
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
            <Button type="primary" size="large" loading={busy} onClick={() => void ask()}>
              Ask the lab for its answer
            </Button>
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
  const [temperature, setTemperature] = useState<Typed>(form.coolerTemperature);
  const [texts, setTexts] = useState({ seal: form.seal, receivedBy: form.receivedBy });
  const isChanged =
    JSON.stringify([temperature, texts.seal, texts.receivedBy]) !== JSON.stringify([form.coolerTemperature, form.seal, form.receivedBy]);
  return (
    <Correct
      entry={entry}
      kind={handedOver}
      what="the hand-over"
      isChanged={isChanged}
      onOpen={() => {
        setTemperature(form.coolerTemperature);
        setTexts({ seal: form.seal, receivedBy: form.receivedBy });
      }}
      instead={() => ({ ...form, coolerTemperature: temperature, ...texts })}
    >
      <TypedField
        label="In the cooler"
        value={temperature}
        units={['degC', 'degF']}
        onChange={setTemperature}
        error={numberError(temperature)}
      />
      <Labelled label="Seal number">
        {(id) => <Input id={id} value={texts.seal} maxLength={40} onChange={(event) => setTexts({ ...texts, seal: event.target.value })} />}
      </Labelled>
      <Labelled label="Taken by">
        {(id) => (
          <Input
            id={id}
            value={texts.receivedBy}
            maxLength={120}
            onChange={(event) => setTexts({ ...texts, receivedBy: event.target.value })}
          />
        )}
      </Labelled>
    </Correct>
  );
}

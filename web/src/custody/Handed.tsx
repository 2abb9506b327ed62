import { askIntake, bottleConditions, handedOver, leftReasons, sealStates, type HandOver } from '@fonte/core/custody';
import { showTyped } from '@fonte/core/units';
import { partyName } from '@fonte/core/round';
import { Button, Input } from 'antd';
import { May } from '../session/May.tsx';
import { Link } from 'react-router';
import { call } from '../api/call.ts';
import { Field } from '../form/Field.tsx';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { send } from '../book/send.ts';
import { useRound } from '../book/useRound.ts';
import { showMoment } from '../time/show.ts';
import { Answer } from './Answer.tsx';
import { FormFiles } from './FormFiles.tsx';
import { Drawn } from './SignatureField.tsx';
import { TakeAnswer } from './TakeAnswer.tsx';

/** One change of hands, and what the lab answered where it ends there. */
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
  const to = partyName(round, form.to);
  const odd = form.bottles.filter(({ condition }) => condition !== 'good');
  const isOpen = form.bottles.some(({ bottle }) => !answer?.bottles.some((line) => line.bottle === bottle));
  return (
    <section className="panel stack">
      <h2>
        {form.bottles.length} to {to}, {showMoment(handOver.at, round.plan.zone)}
      </h2>
      <p>
        {form.from.name} to {[form.to.as === 'lab' ? form.takenBy : to].filter(Boolean).join(', ')}.{' '}
        {form.boxes
          .map(
            ({ name, temperature, seal, sealIs, cooling }) =>
              `${name}${temperature ? ` ${showTyped(temperature)}` : ''}${cooling ? ', on ice' : ''}${seal ? `, seal ${seal}` : ''}${
                sealIs === 'whole' ? '' : ` (${sealStates[sealIs].toLowerCase()})`
              }`,
          )
          .join('; ')}
        . {form.counted} counted. <CorrectHandOver handOver={handOver} />
      </p>
      {(odd.length > 0 || form.left.length > 0) && (
        <p>
          {[
            ...odd.map(({ bottle, condition }) => `${bottle}: ${bottleConditions[condition].toLowerCase()}`),
            ...form.left.map(({ bottle, why }) => `${bottle}: ${leftReasons[why].toLowerCase()}`),
          ].join('. ')}
          .
        </p>
      )}
      <div className="row">
        {[form.signed, form.received].map(
          (signature, place) =>
            signature && (
              <figure key={place === 0 ? 'signed' : 'received'} className="signed">
                {signature.drawn && <Drawn strokes={signature.drawn} />}
                <figcaption className="small">
                  {place === 0 ? 'Signed' : 'Taken'} <span className="signature">{signature.name}</span>
                </figcaption>
              </figure>
            ),
        )}
      </div>
      {form.to.as === 'lab' && <FormFiles handOver={handOver} />}
      {form.to.as === 'lab' && answer && <Answer handOver={handOver} />}
      {form.to.as === 'lab' && (
        <>
          <Said say={say} />
          <div className="row">
            {form.to.lab !== undefined && (
              <May do={askIntake}>
                <Button type={isOpen ? 'primary' : 'default'} size={isOpen ? 'large' : 'middle'} loading={busy} onClick={() => void ask()}>
                  {answer ? 'Ask the lab again' : 'Ask the lab for its answer'}
                </Button>
              </May>
            )}
            <TakeAnswer handOver={handOver} />
          </div>
          {(form.to.lab === undefined || answer?.bottles.some((line) => line.accepted)) && (
            <Link className="strong" to={`/rounds/${id}/report`}>
              {answer ? 'To the report' : 'Take its report in when it comes'}
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
          {form.boxes.map(({ box, name }, place) => (
            <div key={box}>
              <Field name={['instead', 'boxes', String(place), 'temperature']} label={`In ${name}`} />
              <Field name={['instead', 'boxes', String(place), 'seal']} label={`Seal of ${name}`}>
                <Input size="large" maxLength={40} />
              </Field>
            </div>
          ))}
          {form.to.as === 'lab' && <Field name={['instead', 'takenBy']} />}
        </>
      )}
    </Correct>
  );
}

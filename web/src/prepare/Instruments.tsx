import {
  checkOverridden,
  checkRow,
  checksFor,
  checksOf,
  instrumentChecked,
  kindReadiness,
  outcomeNames,
  readinessNames,
  type CheckId,
  type NeededInstrument,
  type Readiness,
} from '@fonte/core/prepare';
import { instrumentKind, registerLists, type Instrument } from '@fonte/core/registers';
import { fieldMoment, instrumentsFor } from '@fonte/core/round';
import { Link } from 'react-router';
import { showTyped } from '@fonte/core/units';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { Correct } from '../book/Correct.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { Mark, type MarkKind } from '../theme/Mark.tsx';
import { now } from '../time/clock.ts';
import { showMoment } from '../time/show.ts';
import { CheckForm } from './CheckForm.tsx';
import { Elsewhere } from './Elsewhere.tsx';
import { Override } from './Override.tsx';

const marks: Record<Readiness, MarkKind> = { checked: 'good', failed: 'stop', unchecked: 'open', overridden: 'question' };

/** The instruments that the plan needs, each with its checks. */
export function Instruments() {
  const { round } = useRound();
  const { data = [] } = useAnswer(registerLists.instruments, { query: { limit: 500 } });
  return (
    <section className="stack">
      <h2>Instruments</h2>
      {instrumentsFor(round.plan).map(({ kind, of }) => (
        <Kind key={kind} kind={kind} of={of} instruments={data.filter((one) => one.kind === kind && !one.outOfUse)} />
      ))}
    </section>
  );
}

function Kind({ kind, of, instruments }: NeededInstrument & { instruments: readonly Instrument[] }) {
  const { round } = useRound();
  const readiness = kindReadiness(kind, of, round.prepare, { at: fieldMoment(round, now()), zone: round.plan.zone });
  const overridden = round.prepare.overridden.findLast((one) => one.kind === kind);
  return (
    <div className="panel">
      <div className="row between">
        <h3>{instrumentKind(kind).name}</h3>
        <span className={`word tone-${marks[readiness]}`}>
          <Mark kind={marks[readiness]} />
          {readinessNames[readiness]}
        </span>
      </div>
      {instruments.length === 0 && (
        <p className="small">
          None is registered. <Link to="/instruments/new">Register one</Link>, or say below why none is checked.
        </p>
      )}
      {instruments.map((one) => (
        <One key={one.id} instrument={one} of={of} />
      ))}
      {readiness === 'overridden' && overridden && (
        <p className="small">
          {overridden.reason}{' '}
          <Correct entry={overridden.entry} kind={checkOverridden} what="that it is used without a good check" label="Take it back" />
        </p>
      )}
      {(readiness === 'failed' || readiness === 'unchecked') && (
        <div>
          <Override kind={kind} />
        </div>
      )}
    </div>
  );
}

function One({ instrument, of }: { instrument: Instrument; of: NeededInstrument['of'] }) {
  const { round } = useRound();
  const needed = checksFor(instrument.kind, of, round.plan.date);
  const others = checksOf(instrument.kind).filter((id) => !needed.includes(id));
  return (
    <div>
      <p>
        <span className="strong">{instrument.name}</span>{' '}
        <span className="soft small">
          {instrument.serial ? `serial ${instrument.serial}, ` : ''}
          <Link to={`/instruments/${instrument.id}`}>its checks through time</Link>
        </span>
      </p>
      <Elsewhere instrument={instrument} />
      <ul className="plain checks">
        {needed.map((id) => (
          <CheckLine key={id} id={id} instrument={instrument} />
        ))}
      </ul>
      {others.length > 0 && (
        <details className="small">
          <summary>Other ranges: check those that are read today</summary>
          <ul className="plain checks">
            {others.map((id) => (
              <CheckLine key={id} id={id} instrument={instrument} />
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}

function CheckLine({ id, instrument }: { id: CheckId; instrument: Instrument }) {
  const { round } = useRound();
  const { name, isOptional } = checkRow(id);
  const last = round.prepare.checks.findLast((one) => one.check === id && one.instrument.id === instrument.id);
  const mark: MarkKind = !last ? 'open' : last.outcome === 'pass' ? 'good' : 'stop';
  return (
    <li>
      <span>
        {name}
        {isOptional && !last ? <span className="soft small">, where it is used</span> : ''}{' '}
        {last && (
          <span className={`word tone-${mark} small`}>
            <Mark kind={mark} />
            {outcomeNames[last.outcome]}
            {last.reading ? ` at ${showTyped(last.reading)}` : ''}, {showMoment(last.at, round.plan.zone)}
          </span>
        )}
      </span>
      <FormDialog
        open={last ? 'Again' : 'Check'}
        by={instrumentChecked.by}
        title={`${instrument.name}: ${name}`}
        aria-label={`${last ? 'Again' : 'Check'}: ${instrument.name} ${name}`}
      >
        {(close) => <CheckForm id={id} instrument={instrument} before={last ?? null} close={close} />}
      </FormDialog>
    </li>
  );
}

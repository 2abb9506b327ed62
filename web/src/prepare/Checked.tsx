import { checkRow, checksOf, isShut, kindReadiness, readinessNames, unproven } from '@fonte/core/prepare';
import { parameter, type ParameterId } from '@fonte/core/parameters';
import { instrumentKind, registerLists, type InstrumentKind } from '@fonte/core/registers';
import { minute } from '@fonte/core/time';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { Loading } from '../feedback/Feedback.tsx';
import { Mark } from '../theme/Mark.tsx';
import { now } from '../time/clock.ts';
import { useNow } from '../time/useNow.ts';
import { Override } from './Override.tsx';

/** Whether one of a kind is in the register; null until that is known. Where the register cannot be asked, nobody has to have one. */
function useKept(kind: InstrumentKind | null): boolean | null {
  const { data, error } = useAnswer(registerLists.instruments, kind ? { query: { limit: 500 } } : null);
  if (data) return data.some((one) => one.kind === kind && !one.outOfUse);
  return error === undefined ? null : false;
}

/** An instrument, and what is read with it. */
interface Of {
  kind: InstrumentKind | null;
  of?: readonly ParameterId[];
}

/**
 * Whether something may be read with an instrument: `shut` waits for its check, nothing waits for none. Until the register is there it is
 * `unknown`, and nothing is offered that would be shut a moment later.
 */
export function useGate({ kind, of = [] }: Of): 'open' | 'shut' | 'unknown' {
  const { round } = useRound();
  const isKept = useKept(kind);
  const time = useNow(minute);
  if (kind === null) return 'open';
  if (isKept === null) return 'unknown';
  return isShut(kind, kindReadiness(kind, of, round.prepare, { at: time, zone: round.plan.zone }), isKept) ? 'shut' : 'open';
}

/** That nothing shows that an instrument reads right with which work goes on. */
export function Unproven({ kind, of = [] }: Of) {
  const { id, round } = useRound();
  const isKept = useKept(kind);
  const time = useNow(minute);
  const why =
    kind === null || isKept === null
      ? null
      : unproven(kind, kindReadiness(kind, of, round.prepare, { at: time, zone: round.plan.zone }), isKept);
  if (kind === null || why === null) return null;
  const { name } = instrumentKind(kind);
  return (
    <p className="finding question">
      <Mark kind="question" />
      <span>
        {why === 'unchecked'
          ? `${name}: not checked today. `
          : `No ${name.toLowerCase()} is registered, so its readings cannot be verified. `}
        <Link to={why === 'unchecked' ? `/rounds/${id}/prepare` : '/instruments/new'}>
          {why === 'unchecked' ? 'Check it' : 'Register it'}
        </Link>
      </span>
    </p>
  );
}

const hasRanges = (kind: InstrumentKind) => checksOf(kind).some((id) => checkRow(id).of);
const nameOf = (id: ParameterId) => parameter(id).name.replace(/^[A-Z](?=[a-z])/, (first) => first.toLowerCase());

/** What stands in place of a form that is not open. */
export function Gate({ gate, kind, of = [] }: Of & { gate: ReturnType<typeof useGate> }) {
  if (gate === 'unknown') return <Loading what="the instruments" />;
  return gate === 'shut' && kind !== null ? <Unchecked kind={kind} of={of} /> : null;
}

/** What is measured with an instrument: it waits until that one is checked, or somebody says why not. */
export function Checked({ kind, children }: { kind: InstrumentKind; children: ReactNode }) {
  const gate = useGate({ kind });
  return gate === 'open' ? children : <Gate gate={gate} kind={kind} />;
}

/** That an instrument is not ready, the way to its check, and the way on without one. */
function Unchecked({ kind, of = [] }: Of & { kind: InstrumentKind }) {
  const { id, round } = useRound();
  const readiness = kindReadiness(kind, of, round.prepare, { at: now(), zone: round.plan.zone });
  return (
    <div className="finding stop" role="alert">
      <Mark kind="stop" />
      <div className="stack">
        <p>
          <span className="strong">
            {instrumentKind(kind).name}: {readinessNames[readiness].toLowerCase()}
            {hasRanges(kind) ? ` for ${of.map(nameOf).join(' and ')}` : ''}.
          </span>{' '}
          What it reads now would prove nothing.
        </p>
        <div className="row">
          <Link to={`/rounds/${id}/prepare`} className="strong">
            Check it
          </Link>
          <Override kind={kind} />
        </div>
      </div>
    </div>
  );
}

import { shownSource } from '@fonte/core/editions';
import type { VisitState } from '@fonte/core/round';
import { isDisinfected, residualLeast } from '@fonte/core/registers';
import { mayFollow, runStarted, spoiltBy, stepsFor, type DueRun, type Protocol } from '@fonte/core/tap';
import { Button } from 'antd';
import { useState } from 'react';
import { useRound } from '../book/useRound.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { May } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Cautions } from '../visit/Cautions.tsx';
import { Choices } from './Choices.tsx';

/** The way that was gone last at another point of the round, where it may be gone here too: shown, and one touch from another. */
function wayBefore(visits: readonly VisitState[], { id }: VisitState, procedure: string, ways: readonly Protocol[]) {
  if (!mayFollow(ways)) return undefined;
  return visits
    .filter((one) => one.id !== id)
    .flatMap(({ name, runs }) => runs.flatMap((run) => (run.procedure === procedure ? [{ ...run, name }] : [])))
    .filter(({ protocol }) => ways.some((way) => way.id === protocol.id))
    .sort((a, b) => a.startedAt - b.startedAt)
    .at(-1);
}

/** Which way it is run, what it is and what it would spoil; then its first step. */
export function Start({ visit, due: { procedure, ways } }: { visit: VisitState; due: DueRun }) {
  const { append, round } = useRound();
  const before = wayBefore(round.visits, visit, procedure, ways);
  const [chosen, choose] = useState(before?.protocol.id ?? '');
  const { busy, run, say } = useAction();
  // One way is no choice; which of several the programme asks for nobody guesses.
  const protocol = ways.length === 1 ? ways[0]! : (ways.find(({ id }) => id === chosen) ?? null);
  if (!protocol)
    return (
      <section className="stack">
        <h2>Which way does the programme ask for?</h2>
        <Choices
          value={chosen}
          onChange={choose}
          options={ways.map(({ id, title, way }) => ({ id, label: title, ...(way ? { caution: way.says } : {}) }))}
        />
        <p className="soft small">Ask the lab or whoever ordered it where it is not said: the results are not the same.</p>
      </section>
    );
  const spoilt = spoiltBy(protocol, visit.due);
  const steps = stepsFor(protocol, visit.point);
  const asksResidual = steps.some(({ act }) => act.type === 'measure' && act.parameter === 'freeChlorine');
  const minimum = residualLeast(visit.point);
  return (
    <section className="stack">
      <h2>{protocol.title}</h2>
      {before?.protocol.id === protocol.id && ways.length > 1 && <p>The way as at {before.name}.</p>}
      <p>
        {/* Which of them are asked hangs on a choice at the tap. */}
        {steps.some(({ when }) => when) ? 'Up to ' : ''}
        {steps.length} steps.{' '}
        {!asksResidual
          ? ''
          : !isDisinfected(visit.point)
            ? 'This water is not disinfected: free chlorine must read zero here.'
            : minimum === null
              ? 'How much chlorine is kept here is not in the register: ask the operator.'
              : `A routine sample needs at least ${minimum.toFixed(2)} mg/L free chlorine here.`}
      </p>
      <p className="soft small">{shownSource(protocol.source)}. Local instructions and your employer’s rules come first.</p>
      {spoilt.length > 0 && (
        <div className="finding question" role="alert">
          <Mark kind="question" />
          <p>
            <span className="strong">It disinfects the outlet.</span> {spoilt.map(({ title }) => title).join(', ')} cannot be taken after
            it: what is looked for there comes of bleach, or goes with it. Take them at a visit of their own, or choose another way.
          </p>
        </div>
      )}
      <Cautions point={visit.point} at="tap" />
      <Said say={say} />
      <May do={runStarted}>
        <Button
          type="primary"
          size="large"
          loading={busy}
          onClick={() =>
            void run(() => append(runStarted, { procedure, protocol: protocol.id, edition: protocol.edition }, { at: visit.id }))
          }
        >
          {visit.point.type === 'tap' ? 'Start at the tap' : 'Start at the well'}
        </Button>
      </May>
      {ways.length > 1 && (
        <div>
          <Button type="text" onClick={() => choose('')}>
            Another way
          </Button>
        </div>
      )}
    </section>
  );
}

import { bottleConditions, checkForm, handedOver, type BottleCondition, type FormLine } from '@fonte/core/custody';
import type { Lab } from '@fonte/core/registers';
import { sayAbout } from '@fonte/core/round';
import { base, readNumber, show, type Typed } from '@fonte/core/units';
import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { Labelled } from '../form/Labelled.tsx';
import { useMe } from '../session/session.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { showMoment } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { numberError, TypedField } from '../units/TypedField.tsx';
import { useDraft } from '../units/useDraft.ts';

interface Draft {
  to: string;
  temperature: Typed;
  seal: string;
  receivedBy: string;
  signature: string;
  conditions: Record<string, BottleCondition>;
}

/** The form to a lab, or where the round has none to whoever takes the bottles. */
export function Form({ lab, lines }: { lab: Lab | null; lines: FormLine[] }) {
  const { id, round, entries, append, refresh } = useRound();
  const me = useMe();
  const now = useNow(5000);
  const [draft, setDraft, clear, entryId] = useDraft<Draft>(`custody.${id}`, {
    to: '',
    temperature: { text: '', unit: 'degC' },
    seal: '',
    receivedBy: '',
    signature: '',
    conditions: {},
  });
  const [tried, setTried] = useState(false);
  const { busy, run, at, say } = useAction();
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const reading = readNumber(draft.temperature.text);
  const coolerTemperature = reading.ok ? base(draft.temperature) : null;
  const findings = checkForm({ lines, conditions: draft.conditions, coolerTemperature, seal: draft.seal, now }, lab);
  // A form that nobody has begun is not greeted with what is missing in it.
  const isUntouched = !tried && draft.temperature.text === '' && draft.seal === '';
  const stops = findings.filter(
    ({ severity, code }) => severity === 'stop' && !(isUntouched && (code === 'no-temperature' || code === 'no-seal')),
  );
  const refused = new Set(stops.map((finding) => finding.field));
  const whole = (isUntouched ? findings.filter(({ code }) => code !== 'no-temperature' && code !== 'no-seal') : findings).filter(
    (finding) => !lines.some((line) => line.bottle.id === finding.field),
  );
  const missing = tried && numberError(draft.temperature);

  const handOver = () => {
    setTried(true);
    if (numberError(draft.temperature)) return;
    void run(async () => {
      await append(
        handedOver,
        {
          to: lab?.id ?? draft.to,
          releasedBy: me.name,
          receivedBy: draft.receivedBy,
          coolerTemperature: draft.temperature,
          seal: draft.seal,
          signature: draft.signature,
          bottles: lines.map((line) => ({ bottle: line.bottle.id, condition: draft.conditions[line.bottle.id] ?? 'good' })),
        },
        { id: entryId, kept: clear },
      );
      await refresh();
    });
  };
  return (
    <form
      className="custody"
      onSubmit={(event) => {
        event.preventDefault();
        handOver();
      }}
    >
      <section className="stack">
        <p className="soft">
          {round.plan.system}, round {round.plan.code}. {lab ? `To ${lab.name}. ` : ''}Count: {lines.length}. {entries.length} entries in
          the book.
        </p>
        <div className="scroll" tabIndex={0} role="region" aria-label="The form">
          <table className="dense">
            <thead>
              <tr>
                <th>Bottle</th>
                <th>Collected</th>
                <th>Type, residual</th>
                <th>Time left</th>
                <th>Condition</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((line) => {
                const own = findings.filter((finding) => finding.field === line.bottle.id);
                return (
                  <tr key={line.bottle.id} className={refused.has(line.bottle.id) ? 'refused' : ''}>
                    <td>
                      <span className="strong">{line.bottle.id}</span>
                      <div className="small soft">
                        {line.pointName}. {line.requests.join(', ')}
                      </div>
                      {own.map((finding) => (
                        <div key={finding.code} className={`small word tone-${finding.severity}`}>
                          <Mark kind={finding.severity} size={14} />
                          {sayAbout(finding).says}
                        </div>
                      ))}
                    </td>
                    <td>{line.bottle.filledAt === null ? '–' : showMoment(line.bottle.filledAt, round.plan.zone)}</td>
                    <td>
                      {line.sampleType === 'special' ? 'Special' : 'Routine'}
                      {line.residual === 'not-needed' ? '' : <div className="small soft">{line.residual ?? 'no residual'}</div>}
                    </td>
                    <td>
                      <HoldingLeft line={line} now={now} />
                    </td>
                    <td>
                      <Select
                        aria-label={`Condition of ${line.bottle.id}`}
                        value={draft.conditions[line.bottle.id] ?? 'good'}
                        onChange={(value) => set({ conditions: { ...draft.conditions, [line.bottle.id]: value } })}
                        options={Object.entries(bottleConditions).map(([value, label]) => ({ value: value as BottleCondition, label }))}
                      />
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      </section>
      <section className="panel">
        {!lab && (
          <Labelled label="To which lab, or whom" error={at('to')}>
            {(field) => (
              <Input id={field} size="large" value={draft.to} maxLength={120} onChange={(event) => set({ to: event.target.value })} />
            )}
          </Labelled>
        )}
        <TypedField
          label="In the cooler now"
          big
          value={draft.temperature}
          units={['degC', 'degF']}
          onChange={(temperature) => set({ temperature })}
          error={(missing || undefined) ?? at('coolerTemperature')}
          hint={Object.entries(lab?.temperature ?? {})
            .map(([kind, range]) => `${kind} ${show(range.least, 'degC', 0)} to ${show(range.most, 'degC', 0)}`)
            .join(', ')}
        />
        <Labelled label="Seal number" error={at('seal')}>
          {(field) => (
            <Input id={field} size="large" value={draft.seal} maxLength={40} onChange={(event) => set({ seal: event.target.value })} />
          )}
        </Labelled>
        <Labelled label="Taken by" error={at('receivedBy')}>
          {(field) => (
            <Input
              id={field}
              size="large"
              value={draft.receivedBy}
              maxLength={120}
              onChange={(event) => set({ receivedBy: event.target.value })}
              placeholder="Name at the intake desk"
            />
          )}
        </Labelled>
        <Labelled label={`Sign as ${me.name}`} error={at('signature')}>
          {(field) => (
            <Input
              id={field}
              size="large"
              className="signature"
              value={draft.signature}
              maxLength={120}
              onChange={(event) => set({ signature: event.target.value })}
              placeholder="Your full name"
              autoComplete="off"
            />
          )}
        </Labelled>
        <Findings of={whole} />
        {stops.length > whole.filter((finding) => finding.severity === 'stop').length && (
          <p className="word tone-stop">
            <Mark kind="stop" />
            {refused.size === 1 ? 'The lab would refuse a bottle' : 'The lab would refuse bottles'}
          </p>
        )}
        {stops.length === 0 && (
          <p className="word tone-good">
            <Mark kind="good" />
            {lab ? 'Nothing the lab would refuse' : 'Nothing that a lab would refuse, as far as is known of it'}
          </p>
        )}
        <Said say={['to', 'coolerTemperature', 'seal', 'receivedBy', 'signature'].some((path) => at(path)) ? null : say} />
        <div>
          <Button type={stops.length === 0 ? 'primary' : 'default'} danger={stops.length > 0} size="large" htmlType="submit" loading={busy}>
            {stops.length === 0 ? `Hand over ${lines.length}` : `Hand over ${lines.length} all the same`}
          </Button>
        </div>
      </section>
    </form>
  );
}

function HoldingLeft({ line, now }: { line: FormLine; now: number }) {
  const { round } = useRound();
  const holding = round.bottles.find((bottle) => bottle.id === line.bottle.id)?.holding;
  return holding ? (
    <>
      <Deadline at={holding.deadline} now={now} />
      <div className="small soft">
        {holding.hours >= 72 ? `${holding.hours / 24} d` : `${holding.hours} h`} by the {holding.by}
      </div>
    </>
  ) : null;
}

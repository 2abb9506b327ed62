import { saySample } from '@fonte/core/tap';
import { bottleConditions, checkForm, handedOver, type BottleCondition, type FormLine } from '@fonte/core/custody';
import { purpose } from '@fonte/core/bottles';
import { causes } from '@fonte/core/due';
import type { Lab } from '@fonte/core/registers';
import { sayAbout, type VisitState } from '@fonte/core/round';
import type { Finding } from '@fonte/core/findings';
import { base, show, type Typed } from '@fonte/core/units';
import { Input, Select } from 'antd';
import type { z } from 'zod';
import { DataTable } from '../feedback/DataTable.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { useMe } from '../session/session.ts';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { showMoment } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { numberError } from '../units/TypedField.tsx';

interface Draft {
  to: string;
  coolerTemperature: Typed;
  seal: string;
  receivedBy: string;
  signature: string;
  conditions: Record<string, BottleCondition>;
}

/** What is missing in a form that nobody has begun: it is not greeted with that. */
const kinds = { routine: 'Routine', special: 'Special', invalid: 'Spoilt' } as const;

/** What a sample is to the lab: a blank, a repeat after a finding, or a routine one; and special or spoilt where it is. */
function typeOf({ bottle, sampleType }: FormLine, visits: readonly VisitState[]): string {
  const because = visits.find(({ id }) => id === bottle.visit)?.because;
  const named = bottle.purpose !== 'sample' ? purpose(bottle.purpose).name : because ? causes[because.as].name : null;
  if (named === null) return kinds[sampleType];
  return sampleType === 'routine' ? named : `${named}, ${kinds[sampleType].toLowerCase()}`;
}

const notYet = new Set(['no-temperature', 'no-seal']);

/** The form to a lab, or where the round has none to whoever takes the bottles. */
export function CustodyForm({ lab, lines }: { lab: Lab | null; lines: FormLine[] }) {
  const { id: book, round, entries, append, refresh } = useRound();
  const me = useMe();
  const now = useNow(5000);
  const form = useEntryForm<Draft, z.output<typeof handedOver.payload>>({
    keep: `custody.${book}`,
    initial: { to: '', coolerTemperature: { text: '', unit: 'degC' }, seal: '', receivedBy: '', signature: '', conditions: {} },
    schema: handedOver.payload,
    read: ({ conditions, ...said }) => {
      const bottles = lines.map((line) => ({ bottle: line.bottle.id, condition: conditions[line.bottle.id] ?? 'good' }));
      return asTyped({ ...said, to: lab?.id ?? said.to, releasedBy: me.name, bottles }, handedOver.payload);
    },
    write: async (payload, { id, kept }) => {
      await append(handedOver, payload, { id, kept });
      await refresh();
    },
  });
  const { conditions, seal, coolerTemperature: typed } = form.values;
  const coolerTemperature = numberError(typed) ? null : base(typed);
  const isUntouched = !form.isTried && typed.text === '' && seal === '';
  const findings = checkForm({ lines, conditions, coolerTemperature, seal, now }, lab).filter(
    ({ code }) => !(isUntouched && notYet.has(code)),
  );
  const stops = findings.filter(({ severity }) => severity === 'stop');
  const whole = findings.filter((finding) => !lines.some((line) => line.bottle.id === finding.field));
  const marked = new Set(stops.map((finding) => finding.field));
  // A spoilt sample is ours to know: the lab would take it.
  const refused = new Set(
    stops
      .filter(({ code, field }) => code !== 'sample-spoilt' && lines.some(({ bottle }) => bottle.id === field))
      .map(({ field }) => field),
  );
  return (
    <EntryForm
      of={form}
      submit={stops.length === 0 ? `Hand over ${lines.length}` : `Hand over ${lines.length} all the same`}
      tone={stops.length === 0 ? 'primary' : 'danger'}
      enter={stops.length === 0 ? 'writes' : 'nothing'}
      className="custody"
      lead={
        <section className="stack">
          <p className="soft">
            {round.plan.system}, round {round.plan.code}. {lab ? `To ${lab.name}. ` : ''}Count: {lines.length}. {entries.length} entries in
            the book.
          </p>
          <DataTable
            label="The form"
            rows={lines}
            rowKey={(line) => line.bottle.id}
            rowClass={(line) => (marked.has(line.bottle.id) ? 'refused' : '')}
            columns={[
              {
                title: 'Bottle',
                render: (line) => (
                  <>
                    <span className="strong">{line.bottle.id}</span>
                    <div className="small soft">
                      {line.pointName}. {line.requests.join(', ')}
                    </div>
                    <Own findings={findings.filter((finding) => finding.field === line.bottle.id)} />
                  </>
                ),
              },
              {
                title: 'Collected',
                render: ({ bottle }) => (bottle.filledAt === null ? '–' : showMoment(bottle.filledAt, round.plan.zone)),
              },
              {
                title: 'Type, residual',
                render: (line) => (
                  <>
                    {typeOf(line, round.visits)}
                    {line.reasons.length > 0 && (
                      <details className="small soft">
                        <summary>{line.reasons.length === 1 ? '1 departure' : `${line.reasons.length} departures`}</summary>
                        {line.reasons.map((reason) => (
                          <div key={JSON.stringify(reason)}>{saySample(reason)}</div>
                        ))}
                      </details>
                    )}
                    {line.residual === 'not-needed' ? '' : <div className="small soft">{line.residual ?? 'no residual'}</div>}
                  </>
                ),
              },
              { title: 'Time left', render: (line) => <HoldingLeft line={line} now={now} /> },
              {
                title: 'Condition',
                render: ({ bottle: { id } }) => (
                  <Field name={['conditions', id]} isBare>
                    <Condition label={`Condition of ${id}`} />
                  </Field>
                ),
              },
            ]}
          />
        </section>
      }
    >
      {!lab && <Field name="to" />}
      <Field
        name="coolerTemperature"
        big
        hint={Object.entries(lab?.temperature ?? {})
          .map(([kind, range]) => `${kind} ${show(range.least, 'degC', 0)} to ${show(range.most, 'degC', 0)}`)
          .join(', ')}
      />
      <Field name="seal" />
      <Field name="receivedBy" placeholder="Name at the intake desk" />
      <Field name="signature" label={`Sign as ${me.name}`}>
        <Input size="large" className="signature" maxLength={120} placeholder="Your full name" autoComplete="off" />
      </Field>
      <Findings of={whole} />
      {stops.length > whole.filter((finding) => finding.severity === 'stop').length && (
        <p className="word tone-stop">
          <Mark kind="stop" />
          {refused.size === 0
            ? 'A sample here is spoilt'
            : refused.size === 1
              ? 'The lab would refuse a bottle'
              : 'The lab would refuse bottles'}
        </p>
      )}
      {stops.length === 0 && (
        <p className="word tone-good">
          <Mark kind="good" />
          {lab ? 'Nothing the lab would refuse' : 'Nothing that a lab would refuse, as far as is known of it'}
        </p>
      )}
    </EntryForm>
  );
}

interface ConditionProps {
  id?: string;
  value?: BottleCondition;
  onChange?: (value: BottleCondition) => void;
  label: string;
}

/** How a bottle is as it is handed over: good, unless somebody says otherwise. */
function Condition({ id, value = 'good', onChange = () => undefined, label }: ConditionProps) {
  return (
    <Select
      {...(id ? { id } : {})}
      aria-label={label}
      value={value}
      onChange={onChange}
      options={Object.entries(bottleConditions).map(([one, name]) => ({ value: one as BottleCondition, label: name }))}
    />
  );
}

/** What is wrong with one bottle. */
function Own({ findings }: { findings: readonly Finding[] }) {
  return findings.map((finding) => (
    <div key={finding.code} className={`small word tone-${finding.severity}`}>
      <Mark kind={finding.severity} size={14} />
      {sayAbout(finding).says}
    </div>
  ));
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

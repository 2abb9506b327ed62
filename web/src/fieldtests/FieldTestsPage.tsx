import {
  hasClock,
  method,
  methodIds,
  methodsFor,
  testBegun,
  testDropped,
  testRead,
  type FieldTest,
  MethodId,
} from '@fonte/core/fieldtests';
import { parameter, ParameterId, type ParameterId as Parameter } from '@fonte/core/parameters';
import type { VisitState } from '@fonte/core/round';
import { Button, Radio } from 'antd';
import { useRef } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { Gate, Unproven, useGate } from '../prepare/index.ts';
import { May } from '../session/May.tsx';
import { Countdown } from '../time/Countdown.tsx';
import { useNow } from '../time/useNow.ts';
import { roomPath } from '../visit/paths.ts';
import { useInSight } from '../visit/useInSight.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { Begin, Guide } from './Begin.tsx';
import { Results } from './Results.tsx';
import { ReadForm } from './ReadForm.tsx';
import './fieldtests.css';

/** What is measured and by which method, as the address has it. */
interface Said {
  of: Parameter;
  by?: MethodId;
}

const isRunning = ({ readAt, dropped }: FieldTest) => readAt === null && dropped === null;

/** Tests made at the point: what runs, what is to be begun, what they told. */
function FieldTestsAt({ visit }: { visit: VisitState }) {
  const { id } = useRound();
  const [search, setSearch] = useSearchParams();
  const [of, by] = [ParameterId.safeParse(search.get('of')), MethodId.safeParse(search.get('by'))];
  // In the address: it is the same one after a reload.
  const choose = (said: Said | null) =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        for (const key of ['of', 'by'] as const) {
          const value = said?.[key];
          if (value) after.set(key, value);
          else after.delete(key);
        }
        return after;
      },
      { replace: true, preventScrollReset: true },
    );
  const back = search.get('back');
  const running = visit.tests.filter(isRunning);
  return (
    <div className="stack-wide">
      <VisitHead visit={visit} />
      {back && (
        <p>
          <Link className="strong" to={roomPath(id, 'tap', visit.id, back)}>
            Back to the protocol
          </Link>
        </p>
      )}
      {running.map((test) => (
        <Running key={test.id} visit={visit} test={test} />
      ))}
      <May do={testBegun}>
        <New visit={visit} of={of.data ?? null} by={by.data ?? null} choose={choose} />
      </May>
      <Results visit={visit} />
    </div>
  );
}

/** What can be measured, in the order of the table. */
const measurable = [...new Set(methodIds.map((id) => method(id).parameter))];

const nameOf = (id: Parameter) => parameter(id).name.replace(/ \(.*\)| at 25 °C/, '');

/** What is measured, then by which method, then the test itself. */
function New({
  visit,
  of,
  by,
  choose,
}: {
  visit: VisitState;
  of: Parameter | null;
  by: MethodId | null;
  choose: (said: Said | null) => void;
}) {
  const ways = of ? methodsFor(of) : [];
  const chosen = by && ways.includes(by) ? by : ways.length === 1 ? ways[0]! : null;
  const reads = { kind: chosen && method(chosen).instrument, of: of ? [of] : [] };
  const gate = useGate(reads);
  const isShut = gate !== 'open';
  const isBegun = visit.tests.some((test) => isRunning(test) && test.method === chosen);
  return (
    <section className="panel stack new-test">
      <h2>Test something</h2>
      {of ? (
        <p className="row">
          <span className="strong">{nameOf(of)}</span>
          <Button size="large" type="text" onClick={() => choose(null)}>
            Something else
          </Button>
        </p>
      ) : (
        <Radio.Group
          className="measurables"
          optionType="button"
          size="large"
          aria-label="What is measured"
          value={null}
          onChange={(event) => choose({ of: event.target.value as Parameter })}
          options={measurable.map((id) => ({ value: id, label: nameOf(id) }))}
        />
      )}
      {of && ways.length > 1 && (
        <Radio.Group
          className="measurables"
          optionType="button"
          size="large"
          aria-label="By which method"
          value={chosen}
          onChange={(event) => choose({ of, by: event.target.value as MethodId })}
          options={ways.map((id) => ({ value: id, label: method(id).name }))}
        />
      )}
      {isShut && <Gate gate={gate} {...reads} />}
      <Unproven {...reads} />
      {chosen && !isShut && isBegun && <p className="soft">One of these is running above.</p>}
      {chosen && !isShut && !isBegun && (
        <div className="test-guided">
          <Guide id={chosen} />
          {hasClock(chosen) ? (
            <Begin key={chosen} visit={visit} id={chosen} begun={() => choose(null)} />
          ) : (
            <ReadForm key={chosen} visit={visit} id={chosen} test={null} />
          )}
        </div>
      )}
    </section>
  );
}

/** A test whose reagent is in: its clock, and what is read at its end. */
function Running({ visit, test }: { visit: VisitState; test: FieldTest }) {
  const time = useNow();
  const part = useRef<HTMLElement>(null);
  useInSight(part);
  const { clock, name } = method(test.method);
  return (
    <section className="panel stack running-test" aria-label={name} ref={part}>
      <h2>{name}</h2>
      {clock && test.begunAt !== null && (
        <>
          <Countdown big from={test.begunAt} least={clock.least} most={clock.most} now={time} />
          <p className="soft small">
            Read between {clock.least} and {clock.most} s after the reagent.
          </p>
        </>
      )}
      <May do={testRead}>
        <ReadForm visit={visit} id={test.method} test={test} beside={<Drop visit={visit} test={test} />} />
      </May>
    </section>
  );
}

function Drop({ visit, test }: { visit: VisitState; test: FieldTest }) {
  return (
    <FormDialog type="text" by={testDropped.by} open="Give this test up" title="Give the test up">
      {(close) => <DropForm visit={visit} test={test} close={close} />}
    </FormDialog>
  );
}

function DropForm({ visit, test, close }: { visit: VisitState; test: FieldTest; close: () => void }) {
  const { append } = useRound();
  const form = useEntryForm({
    keep: `fielddrop.${test.id}`,
    initial: { reason: '' },
    schema: testDropped.payload,
    read: ({ reason }) => ({ value: { test: test.id, reason }, problems: [] }),
    write: async (payload, { id, kept }) => {
      await append(testDropped, payload, { at: visit.id, id, kept });
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Give it up" tone="danger" enter="nothing" className="stack" leave={{ says: 'Back', by: close }}>
      <Field name="reason" placeholder="spilt, bubbles …" />
    </EntryForm>
  );
}

export const FieldTestsPage = atVisit(FieldTestsAt);

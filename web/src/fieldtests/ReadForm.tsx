import {
  chartOf,
  departsFrom,
  fieldTestWords,
  method,
  otherTold,
  questionTest,
  sayTold,
  tell,
  testRead,
  type FieldTest,
  type Kit,
  type MethodId,
  type Shown,
} from '@fonte/core/fieldtests';
import { say } from '@fonte/core/findings';
import { inOwnUnit, type ParameterId } from '@fonte/core/parameters';
import type { VisitState } from '@fonte/core/round';
import { originOf } from '@fonte/core/registers';
import { readNumber, type Typed } from '@fonte/core/units';
import { Button, Checkbox, Segmented } from 'antd';
import type { ReactNode } from 'react';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { useSession } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { useNow } from '../time/useNow.ts';
import { numberError, TypedInput } from '../units/TypedField.tsx';
import { Chart } from './Chart.tsx';
import { asMade, InstrumentField, theOnly, useInstruments } from './made.tsx';
import { simulatedPhotometer } from './simulated.ts';

interface Draft {
  instrument: string;
  reading: Typed;
  isOver: boolean;
  steps: number[];
  compensation: '' | 'meter' | 'none';
  temperature: Typed;
  elevation: Typed;
  departure: string;
  kept: string;
}

const isTyped = ({ text }: Typed) => text.trim() !== '';

function shownOf(chart: readonly number[] | undefined, { reading, isOver, steps }: Draft): Shown {
  if (chart) return { is: 'class', from: steps[0] ?? Number.NaN, to: steps.at(-1) ?? Number.NaN };
  return isOver ? { is: 'over' } : { is: 'number', reading };
}

/** What each step of a kit looks like. */
const shadesOf = (parameter: ParameterId, { shades }: Kit) =>
  new Map(shades.map(({ shade, value }) => [inOwnUnit(parameter, value), shade]));

interface Props {
  visit: VisitState;
  id: MethodId;
  /** The test that was begun; null where nothing is waited for. */
  test: FieldTest | null;
  beside?: ReactNode;
}

/** What is read at the end of a test, judged while it is typed. */
export function ReadForm({ visit, id, test, beside }: Props) {
  const { append } = useRound();
  const { demo } = useSession();
  const time = useNow();
  const instruments = useInstruments(id);
  const row = method(id);
  const { unit, range, beside: readBeside } = row;
  const chart = chartOf(id, test);
  const ranges = instruments.find(({ name }) => name === test?.instrument)?.ranges;
  const around = (draft: Draft) => ({
    parts: test?.parts ?? 1,
    compensation: draft.compensation || undefined,
    temperature: isTyped(draft.temperature) ? draft.temperature : undefined,
    elevation: isTyped(draft.elevation) ? draft.elevation : undefined,
  });
  const isAnswered = (draft: Draft) => (chart ? draft.steps.length > 0 : draft.isOver || readNumber(draft.reading.text).ok);
  const found = (draft: Draft) =>
    isAnswered(draft)
      ? questionTest(id, shownOf(chart, draft), around(draft), {
          isRaw: originOf(visit.point) === 'raw',
          other: otherTold(visit.tests, row.parameter, now()),
          ranges: ranges ?? theOnly(instruments, draft.instrument)?.ranges,
        })
      : [];
  const isAsked = (draft: Draft) => found(draft).some(({ severity }) => severity === 'question');
  const form = useEntryForm<Draft, z.output<typeof testRead.payload>>({
    keep: `fieldread.${visit.id}.${test?.id ?? id}`,
    initial: {
      instrument: '',
      reading: { text: '', unit },
      isOver: false,
      steps: [],
      compensation: '',
      temperature: { text: '', unit: 'degC' },
      elevation: { text: '', unit: 'm' },
      departure: '',
      kept: '',
    },
    schema: testRead.payload,
    read: (draft) => {
      const { departure, kept } = draft;
      const { compensation, temperature, elevation } = around(draft);
      const late = test && departsFrom(test, now());
      const needsWarmth = readBeside === 'temperature-and-elevation' || compensation === 'none';
      const problems = [
        ...(chart ? (draft.steps.length === 0 ? [{ path: 'steps', message: 'Choose a step, or the two it lies between.' }] : []) : []),
        ...(!chart && !draft.isOver && numberError(draft.reading) ? [{ path: 'reading', message: numberError(draft.reading)! }] : []),
        ...(readBeside === 'compensation' && !compensation
          ? [{ path: 'compensation', message: say(fieldTestWords, { code: 'say-compensation' }) }]
          : []),
        ...(needsWarmth && numberError(draft.temperature)
          ? [{ path: 'temperature', message: say(fieldTestWords, { code: 'say-temperature' }) }]
          : []),
        ...(!test && instruments.length > 1 && !draft.instrument ? [{ path: 'instrument', message: 'Say which.' }] : []),
        ...found(draft).flatMap(({ severity, code, data }) =>
          severity === 'stop'
            ? [
                {
                  path: chart ? 'steps' : 'reading',
                  message: say(fieldTestWords, { code: 'test-cannot-be', data: { ...data, finding: code } }),
                },
              ]
            : [],
        ),
        ...(late && departure.trim().length < 3 ? [{ path: 'departure', message: 'Say why, in a few words.' }] : []),
        ...(isAsked(draft) && kept.trim().length < 3
          ? [{ path: 'kept', message: 'Read again and correct it, or say why it is right.' }]
          : []),
      ];
      return {
        value: {
          method: id,
          ...(test ? { test: test.id } : asMade(theOnly(instruments, draft.instrument))),
          shown: shownOf(chart, draft),
          ...(compensation ? { compensation } : {}),
          ...(temperature ? { temperature } : {}),
          ...(elevation ? { elevation } : {}),
          ...(late ? { departure } : {}),
          ...(isAsked(draft) ? { kept } : {}),
        },
        problems,
      };
    },
    at: (path) => path.replace(/^shown\.reading/, 'reading').replace(/^shown\b.*/, chart ? 'steps' : 'reading'),
    write: (payload, { id: entry, kept }) => append(testRead, payload, { at: visit.id, id: entry, kept }),
  });
  const draft = form.values;
  const told = isAnswered(draft) ? tell(id, shownOf(chart, draft), around(draft)) : null;
  const departs = test && departsFrom(test, time);
  const device = demo && test && row.instrument === 'photometer' && /hlor/.test(row.parameter) ? simulatedPhotometer(visit) : null;
  const take = async () => {
    const text = await device!.read({
      parameter: row.parameter,
      begunAt: test!.begunAt!,
      parts: test!.parts,
      isZeroed: !test!.doubts.some(({ code }) => code === 'otherwise'),
      most: range![1],
      step: row.step!,
    });
    form.set(text === null ? { isOver: true, reading: { text: '', unit } } : { isOver: false, reading: { text, unit } });
  };
  return (
    <EntryForm of={form} submit="Write it down" enter="moves-on" className="stack" beside={beside}>
      {!test && <InstrumentField instruments={instruments} />}
      {chart ? (
        <Field name="steps" label="It looks like step" hint="Between two steps: press both. It counts as the higher one.">
          <Chart steps={chart} unit={unit} {...(test?.kit ? { shades: shadesOf(row.parameter, test.kit) } : {})} />
        </Field>
      ) : (
        <>
          {!draft.isOver && (
            <Field
              name="reading"
              label={`${row.name} reads`}
              hint={test && test.parts > 1 ? `As shown; it is taken ${test.parts} times` : undefined}
            >
              <TypedInput units={[unit]} label={`${row.name} reads`} big autoFocus />
            </Field>
          )}
          {range && (
            <Field name="isOver" label="" isTicked>
              <Checkbox>It shows that it is over its range</Checkbox>
            </Field>
          )}
        </>
      )}
      {device && (
        <div>
          <Button onClick={() => void take()}>Read from the simulated photometer</Button>
        </div>
      )}
      {readBeside === 'compensation' && (
        <Field name="compensation">
          <Segmented
            size="large"
            aria-label="Does the meter state it at 25 °C?"
            options={[
              { value: 'meter', label: 'Yes' },
              { value: 'none', label: 'No, as it is' },
            ]}
          />
        </Field>
      )}
      {(readBeside === 'temperature-and-elevation' || draft.compensation === 'none') && <Field name="temperature" />}
      {readBeside === 'temperature-and-elevation' && <Field name="elevation" hint="Sea level where it is left empty" />}
      {told && (test?.parts ?? 1) + Number(told.form !== 'value') > 1 && (
        <p className="figure">
          <span className="soft small">It tells</span>
          <span className="value">{sayTold(told)}</span>
        </p>
      )}
      <Findings of={found(draft)} />
      {isAsked(draft) && <Field name="kept" />}
      {departs && <Field name="departure" label={say(fieldTestWords, { code: departs })} />}
    </EntryForm>
  );
}

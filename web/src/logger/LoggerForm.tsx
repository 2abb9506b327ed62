import { recordedNames, tryLogger } from '@fonte/core/logger';
import { loggerRegistered, LoggerRecord, pointKind, pointPlaces, recordedAs, registered } from '@fonte/core/registers';
import { Button, Select } from 'antd';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { call } from '../api/call.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { Said } from '../feedback/Said.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field, NoControl } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { freshId, thingPage, useRegister } from '../registers/index.ts';
import { MomentInput } from '../time/MomentInput.tsx';
import { siteZone } from '../time/show.ts';
import { draftOf, keyOf, readDraft, toTry, type LoggerDraft } from './draft.ts';
import { FileFields } from './FileFields.tsx';
import { Outcome } from './Outcome.tsx';
import { ReadOut } from './ReadOut.tsx';
import { useTried } from './useTried.ts';

const tryRecord = (record: LoggerRecord) => call(tryLogger, { body: record });

function LoggerForm({ thing }: { thing: LoggerRecord | null }) {
  const [search] = useSearchParams();
  const asked = search.get('point') ?? '';
  const [fresh] = useState(freshId);
  const write = useRegister('loggers', loggerRegistered);
  const [record, setRecord] = useState<LoggerRecord | null>(null);
  const { tried, say, field } = useTried(record, keyOf, tryRecord);
  const form = useEntryForm<LoggerDraft, LoggerRecord>({
    // What was begun for one well is not brought to another.
    keep: `logger-record.${thing?.id ?? `new.${asked}`}`,
    initial: draftOf(thing, fresh, asked || undefined),
    schema: LoggerRecord,
    read: readDraft,
    check: (payload) => {
      if (tried?.key !== keyOf(payload))
        return [{ path: field ?? 'water', message: say ?? 'The levels are being worked out: once more in a moment.' }];
      return tried.answer.findings
        .filter(({ severity }) => severity === 'stop')
        .map(({ field: path = 'water' }) => ({ path, message: 'See below what stops it.' }));
    },
    ask: (payload) => (tried?.key === keyOf(payload) ? tried.answer.findings.filter(({ severity }) => severity === 'question') : []),
    write,
  });
  const { values } = form;
  const { point: id, water, air, shows, line, without = [] } = values;
  const now = toTry(values);
  const nowKey = now && keyOf(now);
  useEffect(() => setRecord(now), [nowKey]); // eslint-disable-line react-hooks/exhaustive-deps
  const { data: points = [] } = useAnswer(pointPlaces, {});
  const { data: point } = useAnswer(registered.points, id ? { in: { id } } : null);
  const marks = point?.type === 'well' ? point.well.measuringPoints : [];
  // Where there is one mark it is that one.
  const only = marks.length === 1 ? marks[0]!.name : undefined;
  useEffect(() => {
    if (only !== undefined && values.mark === undefined) form.set({ mark: only });
    // The form itself is another with every key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [only, values.mark]);
  const zone = siteZone();
  return (
    <>
      <h1>{thing ? `How ${thing.name} is read` : 'A logger’s record'}</h1>
      <EntryForm of={form} submit={thing ? 'Write the change' : 'Write it down'} enter="nothing">
        <div className="form-grid">
          <Field name="point" label="Well">
            <Select
              size="large"
              showSearch={{ optionFilterProp: 'label' }}
              placeholder="Choose"
              options={points.filter(({ kind }) => pointKind(kind).type === 'well').map(({ id: value, name }) => ({ value, label: name }))}
              onChange={() => form.set({ mark: undefined })}
            />
          </Field>
          <Field name="mark">
            <Select size="large" placeholder="Choose the mark" options={marks.map(({ name }) => ({ value: name, label: name }))} />
          </Field>
          <Field name="name" placeholder="serial number, or its name" />
          <Field name="shows">
            <Select
              size="large"
              placeholder="Choose"
              options={recordedAs.map((value) => ({ value, label: recordedNames[value] }))}
              onChange={() => form.set({ ...(water ? { water: { ...water, unit: undefined } } : {}) })}
            />
          </Field>
        </div>
        {id && point?.type === 'well' && <ReadOut point={point} take={(files) => form.set(files)} />}
        <FileFields of="water" as={shows} draft={water} set={(draft) => form.set({ water: draft })} />
        {!water && (
          <Field name="water" isBare>
            <NoControl />
          </Field>
        )}
        {shows === 'absolute' && <FileFields of="air" as="air" draft={air} set={(draft) => form.set({ air: draft })} />}
        {shows === 'absolute' && !air && (
          <Field name="air" isBare>
            <NoControl />
          </Field>
        )}
        <div className="form-grid">
          <Field name="line" hint="A line takes up a sensor that drifts">
            <Select
              size="large"
              placeholder="Choose"
              options={[
                { value: 'constant', label: 'one depth all the time' },
                { value: 'line', label: 'a line through time' },
              ]}
            />
          </Field>
          <Field name="hangs" hint="Only where no level by hand lies within its time" />
          {shows !== 'head' && shows !== 'depth' && <Field name="density" hint="999.7 is fresh water of 10 °C" />}
          <Field name="from" label="It hung there from" hint="Empty: all of it">
            <MomentInput zone={zone} isOptional />
          </Field>
          <Field name="to" label="to">
            <MomentInput zone={zone} isOptional />
          </Field>
          {thing && <Field name="outOfUse" />}
        </div>
        {without.map(({ at }, place) => (
          <Field
            key={at}
            name={['without', place, 'why']}
            label={`Why the level by hand of ${new Date(at).toISOString().slice(0, 10)} is left out`}
          />
        ))}
        <Said say={say} />
        {now && !tried && !say && <p role="status">The levels are being worked out.</p>}
        {tried && (
          <Outcome
            answer={tried.answer}
            act={({ at }) => {
              const isOut = without.some((one) => one.at === at);
              return (
                <Button
                  size="small"
                  onClick={() => form.set({ without: isOut ? without.filter((one) => one.at !== at) : [...without, { at, why: '' }] })}
                >
                  {isOut ? 'Use it' : 'Leave it out'}
                </Button>
              );
            }}
          />
        )}
        {!now && line && <p className="soft">Once nothing is missing the levels are shown here, before anything is written.</p>}
      </EntryForm>
    </>
  );
}

export const LoggerFormPage = thingPage('loggers', LoggerForm);

import { sayPlace, tryBrought, unnamedSample, type BroughtDraft, type Mapping } from '@fonte/core/read';
import { BroughtReport, pointKind, pointKindIds, pointPlaces, registered, reportBrought, waters } from '@fonte/core/registers';
import { setsForWater } from '@fonte/core/limits';
import { Select } from 'antd';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import useSWR from 'swr';
import { call } from '../api/call.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { LimitSets, type OfferedSet } from '../editions/LimitSets.tsx';
import { limitsOf } from '../editions/usualLimits.ts';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field, NoControl } from '../form/Field.tsx';
import { useEntryForm, type EntryFormState } from '../form/useEntryForm.ts';
import { asTyped, type FieldProblem, type Read } from '../form/values.ts';
import { ReadAs, withColumns } from '../read/index.ts';
import { freshId, thingPage, useRegister } from '../registers/index.ts';
import { wallTime } from '@fonte/core/time';
import { now } from '../time/clock.ts';
import { siteZone } from '../time/show.ts';
import { DayInput } from '../time/DayInput.tsx';
import { FileIn } from './FileIn.tsx';

type Draft = Partial<BroughtReport> & { id: string };

/** The day of sampling, once it is one. */
const dayOf = ({ sampled = '' }: Draft): string | undefined => (/^\d{4}-\d{2}-\d{2}$/.test(sampled) ? sampled : undefined);

/** What the file says, read anew with whatever is said of it. */
function useReading(values: Draft) {
  const { file, sample, mapping } = values;
  const sampled = dayOf(values);
  const { data, error, isValidating, mutate } = useSWR<BroughtDraft, unknown>(
    file ? ['brought', file.sha256, sampled, sample, mapping] : null,
    () =>
      call(tryBrought, {
        body: { sha256: file!.sha256, ...(sampled ? { sampled } : {}), ...(sample ? { sample } : {}), ...(mapping ? { mapping } : {}) },
      }),
    { keepPreviousData: true, revalidateOnFocus: false },
  );
  return { draft: file && !error ? data : undefined, error, isValidating, retry: () => void mutate() };
}

/** A report that somebody brought: its file first, then what it is of, and by what it is judged. */
function BroughtForm({ thing }: { thing: BroughtReport | null }) {
  const [search] = useSearchParams();
  const asked = search.get('point') ?? undefined;
  const [fresh] = useState(freshId);
  const write = useRegister('reports', reportBrought, ({ id }) => `/reports/${id}`);
  const keep = `report-brought.${thing?.id ?? `new.${asked ?? ''}`}`;
  const form: EntryFormState<Draft> = useEntryForm<Draft, BroughtReport>({
    keep,
    initial: thing ?? { id: fresh, ...(asked ? { point: asked } : {}) },
    schema: BroughtReport,
    read: ({ mapping: said, ...rest }: Draft): Read => {
      const { value, problems } = asTyped({ ...rest, limits }, BroughtReport);
      // Before the file is read nothing is asked of what would be in it.
      const read = draft
        ? { mapping: withColumns(said, draft.mapping), sample: draft.sample ?? undefined }
        : { mapping: { columns: {} }, sample: unnamedSample };
      return { value: { ...(value as object), ...read }, problems };
    },
    check: (): FieldProblem[] => {
      if (reading.error) return [{ path: 'mapping', message: 'This file cannot be read: take another, or paste its text.' }];
      if (!draft) return [{ path: 'mapping', message: 'The file is being read: once more in a moment.' }];
      if (draft.refusal) return [{ path: 'mapping', message: sayPlace(draft.refusal) }];
      return draft.results.length === 0 ? [{ path: 'mapping', message: 'No row was understood: there is nothing to write down.' }] : [];
    },
    write,
  });
  const { values } = form;
  const { file, mapping } = values;
  const reading = useReading(values);
  const { draft, isValidating } = reading;
  // Until the day is said, the sets of today are offered.
  const day = dayOf(values) ?? wallTime(now(), siteZone()).date;
  const ofWater = values.water ? setsForWater({ water: values.water }, day) : null;
  const { limits, sets, why } = limitsOf(day, values.limits ?? ofWater, []);
  const { data: point } = useAnswer(registered.points, values.point ? { in: { id: values.point } } : null);
  const pointId = point?.id;
  useEffect(() => {
    if (!point) return;
    const { name, kind, water } = point;
    form.set({
      name: values.name || name,
      kind: values.kind ?? kind,
      ...((values.water ?? water) ? { water: values.water ?? water } : {}),
    });
    // The form itself is another with every key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [pointId]);
  return (
    <>
      <h1>{thing ? thing.name : 'A report that somebody brought'}</h1>
      <EntryForm of={form} submit={thing ? 'Write the change' : 'Write it down'} enter="nothing" disabled={isValidating}>
        <FileIn keep={keep} file={file} set={(chosen) => form.set({ file: chosen, mapping: undefined, sample: undefined })} />
        <Field name="file" label="">
          <NoControl />
        </Field>
        {file && <Reading {...reading} mapping={mapping} change={(said) => form.set({ mapping: said })} />}
        <Field name="mapping" label="">
          <NoControl />
        </Field>
        <OfWhat isNew={thing === null} sets={sets} limits={limits} why={why} />
      </EntryForm>
    </>
  );
}

interface ReadingProps extends ReturnType<typeof useReading> {
  /** What was said of the file so far. */
  mapping: Mapping | undefined;
  change: (said: Mapping) => void;
}

/** What the file says, and what is asked about it. */
function Reading({ draft, error, retry, mapping, change }: ReadingProps) {
  if (error) return <Failed error={error} retry={retry} />;
  if (!draft) return <Loading what="the report" />;
  return (
    <ReadAs draft={{ ...draft, mapping: withColumns(mapping, draft.mapping) }} of="Sample" change={change}>
      {draft.samples.length > 1 && (
        <Field name="sample" hint="One report has one sample; read the file once more for another.">
          <Select size="large" placeholder="Choose" options={draft.samples.map((value) => ({ value, label: value }))} />
        </Field>
      )}
    </ReadAs>
  );
}

interface OfWhatProps {
  isNew: boolean;
  sets: readonly OfferedSet[];
  /** What is proposed, and why. */
  limits: readonly string[];
  why: string | undefined;
}

/** Which water it is, and by what it is judged. */
function OfWhat({ isNew, sets, limits, why }: OfWhatProps) {
  const { data: points = [] } = useAnswer(pointPlaces, {});
  return (
    <>
      <h2>What it is of</h2>
      <div className="form-grid">
        <Field name="point" hint="Empty: it belongs to no point yet.">
          <Select
            size="large"
            allowClear
            showSearch={{ optionFilterProp: 'label' }}
            placeholder="None yet"
            options={points.map(({ id: value, name, code }) => ({ value, label: `${name}, ${code}` }))}
          />
        </Field>
        <Field name="name" placeholder="House at the bend, kitchen tap" />
        <Field name="sampled" hint="As on the report.">
          <DayInput />
        </Field>
        <Field name="kind">
          <Select size="large" placeholder="Choose" options={pointKindIds.map((value) => ({ value, label: pointKind(value).name }))} />
        </Field>
        <Field name="water" hint="What it is used for decides what it is compared with.">
          <Select size="large" placeholder="Choose" options={Object.entries(waters).map(([value, label]) => ({ value, label }))} />
        </Field>
        <Field name="whose" />
        <Field name="takenBy" />
        <Field name="limits" hint={why ?? 'By the day of sampling.'}>
          <LimitSets sets={sets} usual={limits} />
        </Field>
        {!isNew && <Field name="outOfUse" />}
      </div>
    </>
  );
}

export const BroughtFormPage = thingPage('reports', BroughtForm);

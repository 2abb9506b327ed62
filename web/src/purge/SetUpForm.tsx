import { shownSource } from '@fonte/core/editions';
import { parameter } from '@fonte/core/parameters';
import {
  criteria,
  insideDiameter,
  pipe,
  pipeIds,
  probeParameters,
  purgeMethod,
  purgeMethodIds,
  PurgeChoice,
  purgeSetUp,
  questionSetUp,
  type PipeId,
  type ProbeParameter,
  type PurgeMethodId,
} from '@fonte/core/purge';
import { refOf } from '@fonte/core/editions';
import { belowMark, type WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { fromBase, showNumber, type Typed } from '@fonte/core/units';
import { Checkbox, Segmented, Select } from 'antd';
import { useRound } from '../book/useRound.ts';
import { Findings } from '../findings/Findings.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { Figure } from '../working/Figure.tsx';
import { TypedInput } from '../units/TypedField.tsx';
import { useUnitSystem } from '../units/system.ts';

interface Draft {
  method: PurgeMethodId;
  ranBefore: boolean;
  pipe: string;
  insideDiameter: Typed;
  /** Bottom below the mark, where the register does not know it. */
  bottom: Typed;
  volumes: number;
  criterion: string;
  parameters: ProbeParameter[];
}

/** What each method asks for, and nothing of another. */
const asked: Record<PurgeMethodId, (draft: Draft, asksBottom: boolean) => object> = {
  volumes: ({ insideDiameter, pipe: id, bottom, volumes }, asksBottom) => ({
    insideDiameter,
    ...(id ? { pipe: id } : {}),
    ...(asksBottom ? { bottom } : {}),
    volumes,
  }),
  running: ({ ranBefore }) => ({ ranBefore }),
};

/** By which method, with what that asks for, and by which criterion the readings are judged. What is to be pumped stands there before the start. */
export function SetUpForm({ visit, point, onDone }: { visit: VisitState; point: WellPoint; onDone?: () => void }) {
  const { append } = useRound();
  const {
    units: {
      diameter: [unit, decimals],
      volume: [volumeUnit, volumeDecimals],
      depth: [depthUnit],
    },
  } = useUnitSystem();
  const given = visit.purge?.setUp?.chosen;
  const byVolumes = given?.method === 'volumes' ? given : null;
  const agreed = visit.level?.agreed ?? null;
  const typed = (metres: number): Typed => ({ text: showNumber(fromBase(metres, unit), decimals), unit });
  const initial: Draft = {
    method: given?.method ?? (agreed || point.use === 'monitoring' ? 'volumes' : 'running'),
    ranBefore: given?.method === 'running' ? given.ranBefore : false,
    pipe: byVolumes?.pipe ?? point.well.pipe ?? '',
    insideDiameter:
      byVolumes?.insideDiameter ?? (point.well.insideDiameter === undefined ? { text: '', unit } : typed(point.well.insideDiameter)),
    bottom: byVolumes?.bottom ?? { text: '', unit: depthUnit === 'ft' ? 'ft' : 'm' },
    volumes: byVolumes?.volumes ?? 3,
    criterion: given?.criterion ?? refOf(criteria.newest[0]!),
    parameters: given ? [...given.parameters] : ['temperature', 'ph', 'conductivity', 'oxygen', 'turbidity'],
  };
  const mark = point.well.measuringPoints.find(({ name }) => name === agreed?.measuringPoint);
  const isBottomKnown = mark !== undefined && belowMark(mark, point.well.bottom) !== null;
  const asksBottom = !isBottomKnown || byVolumes?.bottom !== undefined;
  const read = (draft: Draft) => {
    const { method, criterion, parameters } = draft;
    return asTyped({ method, criterion, parameters, ...asked[method](draft, asksBottom) }, PurgeChoice);
  };
  const form = useEntryForm<Draft, PurgeChoice>({
    keep: `purge-set-up.${visit.id}`,
    initial,
    schema: PurgeChoice,
    read,
    ask: (payload) => questionSetUp(payload, point),
    write: async (payload, { id, kept }) => {
      await append(purgeSetUp, payload, { at: visit.id, id, kept });
      onDone?.();
    },
  });
  const draft = form.values;
  const { set } = form;
  const rule = criteria.find(draft.criterion);
  const judged = rule?.tolerances.map((tolerance) => tolerance.parameter) ?? [];
  const method = purgeMethod(draft.method);
  const chosen = PurgeChoice.safeParse(read(draft).value);
  const aim = chosen.success ? method.aim(chosen.data as never, point, agreed) : null;
  const built = chosen.success ? questionSetUp(chosen.data, point) : [];
  return (
    <EntryForm of={form} by={purgeSetUp.by} submit={given ? 'Change the set-up' : 'Start the purge'}>
      <Field
        name="method"
        hint={
          <>
            {method.meantFor}. {shownSource(method.source)}.
          </>
        }
      >
        <Segmented<PurgeMethodId>
          aria-label="Method"
          options={purgeMethodIds.map((value) => ({
            value,
            label: purgeMethod(value).title,
            disabled: purgeMethod(value).needsLevel && !agreed,
          }))}
        />
      </Field>
      {draft.method === 'running' && (
        <Field name="ranBefore" isTicked>
          <Checkbox>The pump was running already</Checkbox>
        </Field>
      )}
      {draft.method === 'volumes' && (
        <>
          <Field name="pipe" hint={draft.pipe && shownSource(pipe(draft.pipe as PipeId).source)}>
            <Select
              size="large"
              onChange={(value: string) => {
                if (value) set({ insideDiameter: typed(insideDiameter(value as PipeId)) });
              }}
              options={[
                { value: '', label: 'Other: type the inside diameter' },
                ...pipeIds.map((value) => ({ value, label: pipe(value).name })),
              ]}
            />
          </Field>
          <Field name="insideDiameter" hint="Not the nominal size: a “2 inch” pipe measures 2.067 in.">
            <TypedInput units={['mm', 'in']} label="True inside diameter" onChange={() => set({ pipe: '' })} />
          </Field>
          {asksBottom && <Field name="bottom" hint="The register does not know it below this mark: sound it with the tape." />}
          <Field name="volumes">
            <Segmented aria-label="Volumes to remove" size="large" options={[3, 4, 5].map((value) => ({ value, label: String(value) }))} />
          </Field>
          {/* Said while it is typed; on writing it down it is asked about. */}
          {form.asked.length === 0 && <Findings of={built} />}
          {aim && (
            <div className="figures">
              <Figure label="One volume" of={aim.oneVolume} unit={volumeUnit} decimals={volumeDecimals} />
              <Figure label="To remove" of={aim.target} unit={volumeUnit} decimals={volumeDecimals} />
            </div>
          )}
        </>
      )}
      <Field
        name="criterion"
        hint={
          <>
            {(rule?.tolerances ?? [])
              .filter(({ parameter: id }) => (draft.parameters as string[]).includes(id))
              .map(
                ({ parameter: id, absolute, percent, floor, small }) =>
                  `${parameter(id).name} ± ${absolute ?? `${percent} %`}${floor === undefined ? '' : ` (free at or below ${floor})`}${small ? ` (± ${small.percent} % up to ${small.most})` : ''}`,
              )
              .join(', ')}
            {rule && (rule.against === 'median' ? ', against the median of the sets' : ', each set against the one before')}
            {rule?.apart ? `, at least ${rule.apart / 60} min apart` : ''}. {rule && shownSource(rule.source)}.
          </>
        }
      >
        <Select size="large" options={criteria.newest.map((one) => ({ value: refOf(one), label: one.name }))} />
      </Field>
      <Field name="parameters">
        <Checkbox.Group
          options={probeParameters.map((value) => ({
            value,
            label: `${parameter(value).name}${(judged as string[]).includes(value) ? '' : ' (not judged)'}`,
          }))}
        />
      </Field>
    </EntryForm>
  );
}

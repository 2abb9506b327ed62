import { losesGas } from '@fonte/core/bottles';
import { shownSource } from '@fonte/core/editions';
import {
  PurgeChoice,
  purgeMethod,
  purgeMethodIds,
  purgeSetUp,
  questionSetUp,
  type PurgeMethodId,
  type SetUpAround,
} from '@fonte/core/purge';
import { belowMark, registerLists, type WellPoint } from '@fonte/core/registers';
import type { VisitState } from '@fonte/core/round';
import { Checkbox, Radio, Segmented } from 'antd';
import { useAnswer } from '../../api/useAnswer.ts';
import { useRound } from '../../book/useRound.ts';
import { Findings } from '../../findings/Findings.tsx';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { useUnitSystem } from '../../units/system.ts';
import { CasingFields } from './CasingFields.tsx';
import { CriterionFields } from './CriterionFields.tsx';
import { DriveTrainFields, PumpFields } from './PumpFields.tsx';
import { Foreseen } from './Foreseen.tsx';
import { UsedBefore } from './UsedBefore.tsx';
import { askedBy, draftFrom, readSetUp, setUpAtFirst, type SetUpDraft } from './setUpDraft.ts';
import '../purge.css';

/** Whether something is sampled here that suction and falling water take out: volatiles and gases. */
export const isVolatileAt = ({ bottles }: VisitState): boolean => bottles.some(({ card }) => losesGas(card));

/** By which method, with what that asks for, and by which criterion the readings are judged. What is to be pumped stands there before the start. */
export function SetUpForm({ visit, point, onDone }: { visit: VisitState; point: WellPoint; onDone?: () => void }) {
  const { append } = useRound();
  const { units } = useUnitSystem();
  const { data: registered = [] } = useAnswer(registerLists.criteria, { query: { limit: 500 } });
  const own = registered.filter(({ outOfUse }) => !outOfUse);
  const given = visit.purge?.setUp?.chosen;
  const agreed = visit.level?.agreed ?? null;
  const mark = point.well.measuringPoints.find(({ name }) => name === agreed?.measuringPoint);
  const isBottomKnown = mark !== undefined && belowMark(mark, point.well.bottom) !== null;
  const asksBottom = !isBottomKnown || (given?.method === 'volumes' && given.bottom !== undefined);
  const around: SetUpAround = {
    well: point.well,
    level: agreed,
    before: given ? { count: visit.purge!.count, chosen: given } : null,
    isVolatile: isVolatileAt(visit),
  };
  const known = { asksBottom, own, ownPump: point.well.ownPump };
  const form = useEntryForm<SetUpDraft, PurgeChoice>({
    keep: `purge-set-up.${visit.id}`,
    initial: setUpAtFirst(visit.purge, point, agreed, units),
    schema: PurgeChoice,
    read: (draft) => readSetUp(draft, known),
    check: (payload) => {
      if (payload.method === 'none' && !payload.sampler) return [{ path: 'sampler', message: 'Say how the sample is taken.' }];
      return (payload.method === 'low-flow' || payload.method === 'steady-level' || payload.method === 'volumes') && !payload.water
        ? [{ path: 'water', message: 'Say where the purge water goes.' }]
        : [];
    },
    ask: (payload) => questionSetUp(payload, around),
    write: async (payload, { id, kept }) => {
      await append(purgeSetUp, payload, { at: visit.id, id, kept });
      onDone?.();
    },
  });
  const draft = form.values;
  const method = purgeMethod(draft.method);
  const asks = askedBy(draft.method);
  const chosen = PurgeChoice.safeParse(readSetUp(draft, known).value);
  return (
    <EntryForm
      of={form}
      by={purgeSetUp.by}
      submit={given ? 'Change the set-up' : draft.method === 'none' ? 'Go without a purge' : 'Start the purge'}
    >
      {!given && (
        <UsedBefore
          point={point.id}
          visit={visit.id}
          use={(earlier) => form.set(draftFrom(earlier, { ...known, mark: agreed?.measuringPoint ?? null }))}
        />
      )}
      <Field
        name="method"
        hint={
          <>
            {method.meantFor}. {shownSource(method.source)}.
          </>
        }
      >
        <Radio.Group
          className="methods"
          aria-label="Method"
          options={purgeMethodIds.map((value: PurgeMethodId) => ({
            value,
            label: purgeMethod(value).title,
            disabled: purgeMethod(value).needsLevel && !agreed,
          }))}
        />
      </Field>
      {asks.includes('sampler') && (
        <Field name="sampler" hint="A passive sampler is noted beside the result; anything else makes special samples.">
          <Segmented
            aria-label="The sample is taken"
            size="large"
            options={[
              { value: 'passive', label: 'By a passive sampler' },
              { value: 'other', label: 'Otherwise' },
            ]}
          />
        </Field>
      )}
      {asks.includes('reason') && <Field name="reason" placeholder="passive sampler, spring, …" />}
      {asks.includes('ranBefore') && (
        <Field name="ranBefore" isTicked>
          <Checkbox>The pump was running already</Checkbox>
        </Field>
      )}
      {asks.includes('insideDiameter') && (
        <CasingFields form={form} point={point} mark={mark} depth={agreed?.depth ?? null} asksBottom={asksBottom} />
      )}
      {asks.includes('tubing') && <DriveTrainFields drive={draft.drive} />}
      {asks.includes('mostDrawdown') && <Field name="mostDrawdown" hint="0.1 m is the classic figure; your plan may say another." />}
      {asks.includes('recover') && (
        <Field name="recover" hint="Of what it fell; then within 24 hours.">
          <Segmented aria-label="Recovered to" size="large" options={[80, 90, 100].map((value) => ({ value, label: `${value} %` }))} />
        </Field>
      )}
      {asks.includes('pump') && <PumpFields point={point} mark={mark} depth={agreed?.depth ?? null} form={form} />}
      {asks.includes('parameters') && <CriterionFields draft={draft} isJudged={asks.includes('criterion')} own={own} />}
      {/* Said while it is typed; on writing it down it is asked about. */}
      {form.asked.length === 0 && chosen.success && <Findings of={questionSetUp(chosen.data, around)} />}
      {chosen.success && <Foreseen chosen={chosen.data} point={point} level={agreed} />}
    </EntryForm>
  );
}

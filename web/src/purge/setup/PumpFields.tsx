import { pump, pumpIds, purgeWaterNames, purgeWaters } from '@fonte/core/purge';
import { belowMark, type MeasuringPoint, type WellPoint } from '@fonte/core/registers';
import { fromBase, showNumber } from '@fonte/core/units';
import { Button, Radio, Segmented, Select } from 'antd';
import { Field } from '../../form/Field.tsx';
import type { EntryFormState } from '../../form/useEntryForm.ts';
import type { SetUpDraft } from './setUpDraft.ts';

/** From the intake to the flow cell. */
export function DriveTrainFields({ drive }: { drive: SetUpDraft['drive'] }) {
  return (
    <>
      <Field name="drive" label="Pump, tubing and flow cell">
        <Segmented
          aria-label="Pump, tubing and flow cell"
          size="large"
          options={[
            { value: 'parts', label: 'By their parts' },
            { value: 'whole', label: 'As one number' },
          ]}
        />
      </Field>
      {drive === 'whole' ? (
        <Field name="holdsInAll" hint="Measured with a jug, or from the maker; its filling counts as pumped" />
      ) : (
        <div className="form-grid">
          <Field name="tubing" hint="From the intake to the flow cell" />
          <Field name="tubingInside" />
          <Field name="pumpHolds" hint="Empty where it holds next to nothing" />
          <Field name="cellHolds" hint="Its filling counts as pumped" />
        </div>
      )}
    </>
  );
}

/** An intake just under the surface hangs so far below it, in m: shallow wells, by suction. Common practice. */
const underSurface = 0.5;

/** What is pumped with, where the intake hangs, and where the water goes. */
export function PumpFields({
  form: { values: draft, set },
  point: { well, use, hazards = [] },
  mark,
  depth,
}: {
  form: EntryFormState<SetUpDraft>;
  point: WellPoint;
  mark: MeasuringPoint | undefined;
  /** The level at rest, in m below the mark. */
  depth: number | null;
}) {
  const unit = draft.intake.unit;
  const at = (metres: number) => set({ intake: { text: showNumber(fromBase(metres, unit), 2), unit } });
  const [top, end] = mark ? [belowMark(mark, well.screenTop), belowMark(mark, well.screenBottom)] : [null, null];
  const kind = draft.pump === 'own' ? pumpIds.find((id) => id === well.ownPump?.kind) : draft.pump;
  const row = kind ? pump(kind) : null;
  const ownPump = well.ownPump ? [{ value: 'own' as const, label: `Its own: ${well.ownPump.name}` }] : [];
  const isDirty = use === 'monitoring' || hazards.includes('contaminated');
  return (
    <>
      <div className="form-grid">
        <Field name="pump" hint={row?.stirs ? 'It stirs what lies in the well: slowly.' : undefined}>
          <Select<SetUpDraft['pump']>
            size="large"
            options={[{ value: '', label: 'Not said' }, ...ownPump, ...pumpIds.map((value) => ({ value, label: pump(value).name }))]}
          />
        </Field>
        <Field
          name="intake"
          hint={
            <>
              Lower it slowly.{' '}
              {top !== null && end !== null && (
                <Button size="small" onClick={() => at((top + end) / 2)}>
                  Middle of the screen
                </Button>
              )}{' '}
              {depth !== null && (
                <Button size="small" onClick={() => at(depth + underSurface)}>
                  Just under the surface
                </Button>
              )}
            </>
          }
        />
      </div>
      <Field
        name="water"
        hint={isDirty ? 'It may be contaminated: not onto the ground without leave. Count it.' : 'Away from the well head.'}
      >
        <Radio.Group
          className="choices"
          aria-label="Purge water goes"
          options={purgeWaters.map((value) => ({ value, label: purgeWaterNames[value] }))}
        />
      </Field>
    </>
  );
}

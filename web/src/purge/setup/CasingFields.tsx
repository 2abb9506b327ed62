import { shownSource } from '@fonte/core/editions';
import { insideDiameter, packVolume, pipe, pipeIds, type PipeId } from '@fonte/core/purge';
import type { MeasuringPoint, WellPoint } from '@fonte/core/registers';
import { base, fromBase, show, showNumber } from '@fonte/core/units';
import { Checkbox, Segmented, Select } from 'antd';
import { Field } from '../../form/Field.tsx';
import type { EntryFormState } from '../../form/useEntryForm.ts';
import { numberError, TypedInput } from '../../units/TypedField.tsx';
import { useUnitSystem } from '../../units/system.ts';
import type { SetUpDraft } from './setUpDraft.ts';

interface Props {
  form: EntryFormState<SetUpDraft>;
  point: WellPoint;
  mark: MeasuringPoint | undefined;
  /** The level at rest, in m below the mark. */
  depth: number | null;
  asksBottom: boolean;
}

/** The casing that the volume is taken from, and how many of it. */
export function CasingFields({ form: { values: draft, set }, point, mark, depth, asksBottom }: Props) {
  const {
    units: {
      diameter: [unit, decimals],
      volume: [volumeUnit, volumeDecimals],
    },
  } = useUnitSystem();
  const inside = numberError(draft.insideDiameter) ? null : base(draft.insideDiameter);
  const pack = mark && depth !== null && inside !== null ? packVolume(point.well, mark, { insideDiameter: inside, depth }) : null;
  return (
    <>
      <Field name="pipe" hint={draft.pipe && shownSource(pipe(draft.pipe as PipeId).source)}>
        <Select
          size="large"
          onChange={(value: string) => {
            if (value) set({ insideDiameter: { text: showNumber(fromBase(insideDiameter(value as PipeId), unit), decimals), unit } });
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
      {pack && (
        <Field name="withPack" isTicked hint="A school of its own; your plan says whether.">
          <Checkbox>Count the filter pack too: {show(pack.value, volumeUnit, volumeDecimals)} more to a volume</Checkbox>
        </Field>
      )}
    </>
  );
}

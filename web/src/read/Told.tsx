import { isCounted, parameter, type ParameterId } from '@fonte/core/parameters';
import { basisNames, basisQuestions, resultTold, toldFormIds, toldForms, type Basis, type ToldForm } from '@fonte/core/read';
import { instantAt, offsetIn } from '@fonte/core/time';
import { unit, unitsOf, type Typed, type UnitId } from '@fonte/core/units';
import { Segmented, Select } from 'antd';
import type { z } from 'zod';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { asTyped } from '../form/values.ts';
import { now } from '../time/clock.ts';
import { MomentInput } from '../time/MomentInput.tsx';
import { TypedInput } from '../units/TypedField.tsx';

/** A bottle of which a lab may tell results, with the parameters that it may be about. */
export interface ToldOf {
  bottle: string;
  pointName: string;
  parameters: readonly ParameterId[];
}

interface ToldDraft {
  bottle: string | null;
  parameter: ParameterId | null;
  form: ToldForm | null;
  /** The number, with the unit once one was chosen: until then it is in the parameter's own. */
  result: { text: string; unit: UnitId | null };
  as: Basis | null;
  moment: number;
  by: string;
}

/** The parameter's own unit first, then the others of its dimension. */
function unitsFor(id: ParameterId): readonly [UnitId, ...UnitId[]] {
  const own = parameter(id).unit;
  return [own, ...unitsOf(unit(own).dimension).filter((one) => one !== own)];
}

/** The number that was said: in the unit that was chosen if the parameter can have it, else in its own. */
function numberOf(id: ParameterId, { text, unit: chosen }: ToldDraft['result']): Typed {
  const units = unitsFor(id);
  return { text, unit: chosen !== null && units.includes(chosen) ? chosen : units[0] };
}

/** As what a parameter may be expressed, by name; empty where there is one way only. */
function waysFor(id: ParameterId): { value: Basis; label: string }[] {
  const ways = parameter(id).expressedAs;
  const question = ways && basisQuestions.find((one) => one.ways.every((way) => way in ways));
  return question ? question.ways.map((value) => ({ value, label: basisNames[value] })) : [];
}

interface NumberProps {
  of: ParameterId;
  value?: ToldDraft['result'];
  onChange?: (value: ToldDraft['result']) => void;
}
const ToldNumber = ({ of, value = { text: '', unit: null }, onChange = () => undefined, ...rest }: NumberProps) => (
  <TypedInput {...rest} units={unitsFor(of)} label="The number" value={numberOf(of, value)} onChange={onChange} />
);

/** A result that was told by telephone: what must be done is due from then on. */
export function Told({ of, close }: { of: readonly ToldOf[]; close: () => void }) {
  const { append, round, id: book } = useRound();
  const { zone } = round.plan;
  // Nothing is taken for said: of one that is left only, it can be no other.
  const [onlyBottle] = of.length === 1 ? of : [];
  const onlyParameter = onlyBottle?.parameters.length === 1 ? onlyBottle.parameters[0]! : null;
  const form = useEntryForm<ToldDraft, z.output<typeof resultTold.payload>>({
    keep: `told.${onlyBottle?.bottle ?? book}`,
    initial: {
      bottle: onlyBottle?.bottle ?? null,
      parameter: onlyParameter,
      form: null,
      result: { text: '', unit: null },
      as: null,
      moment: now(),
      by: '',
    },
    schema: resultTold.payload,
    read: ({ parameter: id, form: said, result, as, moment, ...draft }) => {
      const payload = { ...draft, parameter: id, form: said, told: instantAt(moment, offsetIn(moment, zone)) };
      const problems = [
        ...(draft.bottle === null ? [{ path: 'bottle', message: 'Choose the bottle.' }] : []),
        ...(id === null ? [{ path: 'parameter', message: 'Choose what was measured.' }] : []),
        ...(said === null ? [{ path: 'form', message: 'Choose what was said.' }] : []),
      ];
      if (id === null || said === null) return { value: payload, problems };
      if (!toldForms[said].hasNumber) return { value: { ...payload, result: null }, problems };
      const typed = asTyped({ ...payload, result: numberOf(id, result), ...(as === null ? {} : { as }) }, resultTold.payload);
      return { ...typed, problems: [...problems, ...typed.problems] };
    },
    check: ({ told }) => (Date.parse(told.utc) > now() + 60_000 ? [{ path: 'moment', message: 'This is in the future.' }] : []),
    at: (path) => (path.startsWith('told') ? 'moment' : path),
    write: async (payload, { id, kept }) => {
      await append(resultTold, payload, { id, kept });
      close();
    },
  });
  const { bottle, parameter: id, form: said } = form.values;
  const asked = of.find((one) => one.bottle === bottle)?.parameters ?? [];
  const ways = id === null ? [] : waysFor(id);
  return (
    <EntryForm of={form} submit="Save the call" className="stack" leave={{ says: 'Not now', by: close }}>
      {!onlyBottle && (
        <Field name="bottle" label="Which bottle">
          <Select
            size="large"
            placeholder="Choose"
            showSearch={{ optionFilterProp: 'label' }}
            options={of.map((one) => ({ value: one.bottle, label: `${one.bottle}, ${one.pointName}` }))}
          />
        </Field>
      )}
      <Field name="parameter" label="What was measured">
        <Select
          size="large"
          placeholder={bottle === null ? 'Choose the bottle first' : 'Choose'}
          disabled={bottle === null}
          options={asked.map((one) => ({ value: one, label: parameter(one).name }))}
        />
      </Field>
      <Field name="form" label="What was said">
        <Select
          size="large"
          placeholder="Choose"
          options={toldFormIds
            .filter((one) => one !== 'uncountable' || id === null || isCounted(id))
            .map((value) => ({ value, label: toldForms[value].name }))}
        />
      </Field>
      {id !== null && said !== null && toldForms[said].hasNumber && (
        <>
          <Field name="result" label="The number">
            <ToldNumber of={id} />
          </Field>
          {ways.length > 0 && (
            <Field name="as" label="Expressed">
              <Segmented aria-label="Expressed" options={ways} />
            </Field>
          )}
        </>
      )}
      <Field name="moment" label="When it was told">
        <MomentInput zone={zone} />
      </Field>
      <Field name="by" placeholder="the lab, by telephone" />
    </EntryForm>
  );
}

/** A button for what the lab says by telephone, before any report and after. */
export function CallTaken({ of }: { of: readonly ToldOf[] }) {
  if (of.length === 0) return null;
  return (
    <FormDialog open="The lab called" title="Results by telephone" size="large">
      {(close) => <Told of={of} close={close} />}
    </FormDialog>
  );
}

import { limitSets, questionOwnLimits } from '@fonte/core/limits';
import { parameter, type ParameterId } from '@fonte/core/parameters';
import { limitKinds, limitSetRegistered, OwnLimitSet, type LimitKind } from '@fonte/core/registers';
import { wallTime } from '@fonte/core/time';
import { unit, unitLabel, unitsOf, type UnitId } from '@fonte/core/units';
import { refOf } from '@fonte/core/editions';
import { Checkbox, Input, Select } from 'antd';
import { limitKindNames, sayWay } from '../../editions/limitWords.ts';
import { setsOffered } from '../../editions/LimitSets.tsx';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { ManySelect } from '../../form/ManySelect.tsx';
import { ParameterSelect } from '../../form/ParameterSelect.tsx';
import { RowList } from '../../form/RowList.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { asTyped, type Read } from '../../form/values.ts';
import { now } from '../../time/clock.ts';
import { siteZone } from '../../time/show.ts';
import { thingPage } from '../ThingPage.tsx';
import { freshId, useRegister } from '../useRegister.ts';
import { numberReader } from '../gear/numbers.ts';

interface Row {
  parameter?: ParameterId | undefined;
  kind: LimitKind;
  most: string;
  least: string;
  /** A unit, and behind a blank what the value is expressed as: `mg/L N`. */
  unit?: string | undefined;
  place: string;
  says: string;
  from: string;
  until: string;
}

interface Values {
  id: string;
  name: string;
  base?: string | undefined;
  without: ParameterId[];
  rows: Row[];
  isGuarded: boolean;
  source: string;
  outOfUse: string;
}

const text = (value: number | undefined) => (value === undefined ? '' : String(value));
const fresh = (): Row => ({ kind: 'health', most: '', least: '', place: '', says: '', from: '', until: '' });

/** Units that labs and rules write; the others of a dimension are for other trades. */
const isUsual = (id: ParameterId, of: UnitId) => !of.includes('ppm') || parameter(id).unit === of;

/** The units of a parameter, each in every way in which it is expressed. */
function unitOptions(id: ParameterId | undefined): { value: string; label: string }[] {
  if (!id) return [];
  const { unit: own, expressedAs = {} } = parameter(id);
  const units = [own, ...unitsOf(unit(own).dimension).filter((one) => one !== own && isUsual(id, one))];
  const ways = Object.keys(expressedAs);
  return units.flatMap((one) => {
    const label = unitLabel(one) || 'no unit';
    if (ways.length === 0) return [{ value: one as string, label }];
    return ways.map((way) => ({ value: `${one} ${way}`, label: `${label} ${sayWay(id, way)}` }));
  });
}

function readLimitSet({ rows = [], isGuarded, ...said }: Values): Read {
  const { problems, number } = numberReader();
  const { value } = asTyped(said, OwnLimitSet);
  const { without = [], ...rest } = value as { without?: ParameterId[] };
  return {
    value: {
      ...rest,
      ...(without.length > 0 ? { without } : {}),
      ...(isGuarded ? { isGuarded } : {}),
      rows: rows.map(({ most, least, unit: chosen = '', ...row }, place) => {
        const [of, as] = chosen.split(' ');
        const told = Object.fromEntries(Object.entries(row).filter(([, one]) => one !== '' && one !== undefined));
        return {
          ...told,
          ...number('most', `rows.${place}.most`, most),
          ...number('least', `rows.${place}.least`, least),
          ...(of ? { unit: of } : {}),
          ...(as ? { as } : {}),
        };
      }),
    },
    problems,
  };
}

/** A set as the form holds it; one of another number where it is to be copied. */
function valuesOf(thing: OwnLimitSet | null): Values {
  return {
    id: thing?.id ?? freshId(),
    name: thing?.name ?? '',
    base: thing?.base,
    without: thing?.without ?? [],
    rows: (thing?.rows ?? []).map(({ most, least, unit: of, as, ...row }) => ({
      ...fresh(),
      ...row,
      most: text(most),
      least: text(least),
      unit: as === undefined ? of : `${of} ${as}`,
    })),
    isGuarded: thing?.isGuarded ?? false,
    source: thing?.source ?? '',
    outOfUse: thing?.outOfUse ?? '',
  };
}

/** A limit set of the house: the values of a permit, a plan or a local rule, alone or beside a published set. */
function LimitSetForm({ thing }: { thing: OwnLimitSet | null }) {
  const form = useEntryForm<Values, OwnLimitSet>({
    keep: `limits.${thing?.id ?? 'new'}`,
    initial: { ...valuesOf(thing), ...(thing ? {} : { rows: [fresh()] }) },
    schema: OwnLimitSet,
    read: readLimitSet,
    ask: questionOwnLimits,
    write: useRegister('limits', limitSetRegistered),
  });
  const { rows = [], base } = form.values;
  const number = <Input size="large" inputMode="decimal" autoComplete="off" />;
  const { rows: values = [] } = limitSets.find(base ?? '') ?? {};
  const bases = setsOffered(wallTime(now(), siteZone()).date, [], base ? [base] : []).map(({ set }) => set);
  return (
    <>
      <h1>{thing ? thing.name : 'Register a limit set'}</h1>
      <EntryForm of={form} submit={thing ? 'Write the change' : 'Register it'}>
        <div className="form-grid">
          <Field name="name" placeholder="Supply permit, well field north" />
          <Field name="source" placeholder="permit, paragraph and date" />
          <Field name="base" hint="All its values hold as well; the stricter one decides. Empty: the values below stand alone.">
            <Select
              allowClear
              size="large"
              placeholder="No published set"
              options={bases.map((set) => ({ value: refOf(set), label: `${set.name}, edition ${set.edition}` }))}
            />
          </Field>
          {base && (
            <Field name="without" hint="Parameters whose published values do not hold here.">
              <ManySelect
                placeholder="None"
                options={[...new Set(values.map((row) => row.parameter))].map((id) => ({ value: id, label: parameter(id).name }))}
              />
            </Field>
          )}
          <Field name="isGuarded" isTicked label="Guard band">
            <Checkbox>A number within the lab’s uncertainty of a value does not meet it</Checkbox>
          </Field>
          <Field name="outOfUse" />
        </div>
        <section className="stack">
          <h2>Values</h2>
          <RowList name={['rows']} one="value" add="Add a value" fresh={fresh}>
            {(row) => (
              <div className="limit-row">
                <Field name={[row, 'parameter']}>
                  <ParameterSelect placeholder="Choose" />
                </Field>
                <Field name={[row, 'kind']}>
                  <Select size="large" options={limitKinds.map((kind) => ({ value: kind, label: limitKindNames[kind] }))} />
                </Field>
                <Field name={[row, 'most']}>{number}</Field>
                <Field name={[row, 'least']}>{number}</Field>
                <Field name={[row, 'unit']}>
                  <Select size="large" placeholder="Choose" options={unitOptions(rows[row]?.parameter)} />
                </Field>
                <Field name={[row, 'place']} placeholder="§ 4, table 2" />
                <Field name={[row, 'says']} placeholder="Empty: as published" />
                <Field name={[row, 'from']} placeholder="Always" />
                <Field name={[row, 'until']} placeholder="Always" />
              </div>
            )}
          </RowList>
        </section>
        <p className="soft small">
          Your authority’s rules come first. A set that is changed is another edition: rounds keep the one that they were planned with until
          somebody has them judged by another.
        </p>
      </EntryForm>
    </>
  );
}

export const LimitSetPage = thingPage('limits', LimitSetForm);

import { bandOfBox, cold, readingTimes, readingWays, sealStates, type BoxState, type Refusal } from '@fonte/core/custody';
import { base, show, showTyped } from '@fonte/core/units';
import { Checkbox, Input, Segmented } from 'antd';
import { useRound } from '../book/useRound.ts';
import { Field } from '../form/Field.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showTime } from '../time/show.ts';
import { TypedInput } from '../units/TypedField.tsx';
import { boxKey, type BoxDraft } from './draft.ts';
import { Foretold } from './Foretold.tsx';
import { Lines } from './Lines.tsx';
import { ReadBox } from './ReadBox.tsx';

interface Props {
  of: BoxState;
  draft: BoxDraft;
  refusals: readonly Refusal[];
  asksForSeal: boolean;
  mayCool: boolean;
  /** There is no other box that its fields could be mistaken for. */
  isOnly: boolean;
  now: number;
}

/** A box on the form: how cold, its seal, and what stands in it. */
export function BoxCard({ of, draft, refusals, asksForSeal, mayCool, isOnly, now }: Props) {
  const { box, lines, readings } = of;
  const band = bandOfBox(lines);
  const key = boxKey(box.id);
  const own = refusals.filter(({ field }) => field === `box ${box.id}`);
  const worst = own.some(({ severity }) => severity === 'stop') ? 'stop' : null;
  return (
    <section className={`panel custody-box${worst ? ' refused' : ''}`} aria-label={box.name}>
      <div className="row between">
        <h3>
          {worst && <Mark kind="stop" />} {box.name}
        </h3>
        <span className="soft">
          {lines.length === 1 ? '1 bottle' : `${lines.length} bottles`}
          {band &&
            (band.least <= band.most ? `, ${show(band.least, 'degC', 0)} to ${show(band.most, 'degC', 0)}` : ', no cold suits all of them')}
        </span>
      </div>
      <Readings of={of} />
      <div className="custody-box-fields">
        <Field name={['inBoxes', key, 'temperature']} label={isOnly ? 'In the box now' : `In ${box.name} now`}>
          <TypedInput units={['degC', 'degF']} label={`In ${box.name} now`} big />
        </Field>
        <Field
          name={['inBoxes', key, 'seal']}
          label={`${isOnly ? 'Seal number' : `Seal number of ${box.name}`}${asksForSeal ? '' : ', if sealed'}`}
        >
          <Input size="large" maxLength={40} autoComplete="off" />
        </Field>
        {draft.seal.trim() !== '' && (
          <Field name={['inBoxes', key, 'sealIs']} label={isOnly ? 'The seal is' : `The seal of ${box.name} is`}>
            <Segmented
              aria-label={isOnly ? 'The seal is' : `The seal of ${box.name} is`}
              options={Object.entries(sealStates).map(([value, label]) => ({ value, label }))}
            />
          </Field>
        )}
        {mayCool && (
          <Field name={['inBoxes', key, 'cooling']} isTicked label="" isBare>
            <Checkbox>It lies on ice, cooling has begun</Checkbox>
          </Field>
        )}
      </div>
      <Foretold of={own} />
      <ReadBox box={{ box: box.id, name: box.name }} isFirst={readings.length === 0} />
      <Lines lines={lines} refusals={refusals} now={now} />
    </section>
  );
}

/** What was read of a box so far, the last first, with what lay outside of its band. */
function Readings({ of: { readings, lines, now: state } }: { of: BoxState }) {
  const { round } = useRound();
  const band = bandOfBox(lines);
  if (readings.length === 0) return null;
  return (
    <ul className="plain small">
      {state.cold && <li>Kept by {cold(state.cold).name.toLowerCase()}</li>}
      {[...readings]
        .reverse()
        .slice(0, 6)
        .map(({ entry, at, when, temperature, by }) => {
          const value = temperature && base(temperature);
          const isOut = value !== undefined && band !== null && (value > band.most || value < band.least);
          return temperature ? (
            <li key={entry}>
              {showTime(at, round.plan.zone)} {readingTimes[when].toLowerCase()}:{' '}
              <span className={isOut ? 'word tone-question' : 'strong'}>
                {isOut && <Mark kind="question" size={14} />}
                {showTyped(temperature)}
              </span>{' '}
              <span className="soft">{by === 'bottle' ? '' : readingWays[by].toLowerCase()}</span>
            </li>
          ) : null;
        })}
    </ul>
  );
}

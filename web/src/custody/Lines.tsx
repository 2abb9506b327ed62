import { bottleConditions, leftReasons, sayHolding, type FormLine, type Refusal } from '@fonte/core/custody';
import { saySample } from '@fonte/core/tap';
import { Select } from 'antd';
import { useRound } from '../book/useRound.ts';
import { Field } from '../form/Field.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { showMoment } from '../time/show.ts';
import type { BottleSaid } from './draft.ts';

/** The bottles of a box, point by point: a row each at a desk, a card each on a phone. */
export function Lines({ lines, refusals, now }: { lines: readonly FormLine[]; refusals: readonly Refusal[]; now: number }) {
  const points = [...new Set(lines.map(({ pointName }) => pointName))];
  const refused = new Set(refusals.filter(({ severity }) => severity === 'stop').flatMap(({ bottles }) => bottles));
  return points.map((point) => {
    const here = lines.filter(({ pointName }) => pointName === point);
    return (
      <section key={point} className="custody-point" aria-label={`Bottles of ${point}`}>
        <h4>
          {point} <span className="soft small">{here.length}</span>
        </h4>
        <ul className="plain">
          {here.map((line) => (
            <Line key={line.bottle.id} line={line} isRefused={refused.has(line.bottle.id)} now={now} />
          ))}
        </ul>
      </section>
    );
  });
}

function Line({ line, isRefused, now }: { line: FormLine; isRefused: boolean; now: number }) {
  const { round } = useRound();
  const { bottle } = line;
  const holding = round.bottles.find(({ id }) => id === bottle.id)?.holding;
  return (
    <li className={`custody-line${isRefused ? ' refused' : ''}`}>
      <div>
        <span className="strong">
          {isRefused && <Mark kind="stop" size={14} />} {bottle.id}
        </span>
        <div className="small soft">{line.requests.join(', ')}</div>
      </div>
      <div className="small">
        {line.type}
        {line.residual === 'not-needed' ? '' : `, ${line.residual ?? 'no residual'}`}
        {line.reasons.length > 0 && (
          <details className="soft">
            <summary>{line.reasons.length === 1 ? '1 departure' : `${line.reasons.length} departures`}</summary>
            {line.reasons.map((reason) => (
              <div key={JSON.stringify(reason)}>{saySample(reason)}</div>
            ))}
          </details>
        )}
      </div>
      <div className="small">
        {bottle.filledAt === null ? '–' : showMoment(bottle.filledAt, round.plan.zone)}
        {holding && (
          <div>
            <Deadline at={holding.deadline} now={now} /> <span className="soft">{sayHolding(holding)}</span>
          </div>
        )}
      </div>
      <Field name={['bottles', bottle.id]} isBare>
        <Condition label={`Condition of ${bottle.id}`} />
      </Field>
    </li>
  );
}

interface ConditionProps {
  id?: string;
  value?: BottleSaid;
  onChange?: (value: BottleSaid) => void;
  label: string;
}

/** How a bottle is as it changes hands: good, unless somebody says otherwise; or that it does not. */
function Condition({ id, value = 'good', onChange = () => undefined, label }: ConditionProps) {
  return (
    <Select<BottleSaid>
      {...(id ? { id } : {})}
      aria-label={label}
      size="large"
      value={value}
      onChange={onChange}
      popupMatchSelectWidth={false}
      options={Object.entries({ ...bottleConditions, ...leftReasons }).map(([one, name]) => ({ value: one as BottleSaid, label: name }))}
    />
  );
}

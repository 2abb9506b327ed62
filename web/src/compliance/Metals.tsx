import { metalPercentiles, type MetalPercentile, type ResultOfSystem, type Span } from '@fonte/core/compliance';
import type { LimitSet } from '@fonte/core/limits';
import { parameter } from '@fonte/core/parameters';
import { dateAfter } from '@fonte/core/time';
import { showExact, unitLabel } from '@fonte/core/units';
import { useId, useState } from 'react';
import { DayInput } from '../time/DayInput.tsx';
import { Mark } from '../theme/Mark.tsx';

const words: Record<MetalPercentile['state'], [string, 'stop' | 'open' | 'good']> = {
  over: ['Over the action level', 'stop'],
  open: ['Depends on how your authority takes the rank, or on what lies below a bound', 'open'],
  'not-over': ['Not over the action level', 'good'],
};

const shown = (value: number) => showExact(Number(value.toPrecision(4)));
/** A number that is known within two others: `4`, `0 to 5`, `100 or more`. */
export function saySpan({ low, high }: Span): string {
  if (!Number.isFinite(high)) return `${shown(low)} or more`;
  return shown(low) === shown(high) ? shown(high) : `${shown(low)} to ${shown(high)}`;
}

interface Props {
  results: readonly ResultOfSystem[];
  until: string;
  zone: string;
  set: LimitSet;
}

/** The 90th percentiles of lead and copper over a monitoring period. */
export function Metals({ results, until, zone, set }: Props) {
  const id = useId();
  const [from, setFrom] = useState(dateAfter(until, -182));
  const found = metalPercentiles(results, { from, until, zone }, set);
  return (
    <section className="stack">
      <h2>Lead and copper, 90th percentile</h2>
      <div className="form-grid">
        <div className="typed">
          <label htmlFor={id}>Monitoring period from</label>
          <DayInput id={id} value={from} onChange={setFrom} />
        </div>
      </div>
      {found.length === 0 ? (
        <p className="soft">No sample of standing water in this period.</p>
      ) : (
        <ul className="plain stack">
          {found.map(({ parameter: of, percentile: { value, count }, level, state }) => {
            const [says, tone] = words[state];
            const unit = unitLabel(parameter(of).unit);
            return (
              <li key={of}>
                <span className="strong">{parameter(of).name}</span>{' '}
                <span className="number">
                  {saySpan(value)} {unit}
                </span>{' '}
                of {count === 1 ? '1 sample' : `${count} samples`}; action level {shown(level)} {unit}.{' '}
                <span className={`word tone-${tone}`}>
                  <Mark kind={tone} size={15} />
                  {says}
                </span>
              </li>
            );
          })}
        </ul>
      )}
      <p className="soft small">
        Routine samples of standing water, the higher of first and fifth litre. Five samples: the mean of the two highest; fewer: the
        highest (40 CFR 141.80(c)).
      </p>
    </section>
  );
}

import { coliformYear, monthlySamples, yearlySamples, type ResultOfSystem } from '@fonte/core/compliance';
import { showNumber } from '@fonte/core/units';
import { useId, useState } from 'react';
import { Input } from 'antd';
import { DataTable } from '../feedback/DataTable.tsx';
import { readField } from '../units/decimal.ts';
import { Mark } from '../theme/Mark.tsx';

type Month = ReturnType<typeof coliformYear>['months'][number];

const word = ({ triggers, isLevel2, ecoli }: Month): [string, 'stop' | 'question' | 'good'] => {
  if (ecoli > 0) return ['E. coli found: see its verdict', 'stop'];
  if (isLevel2) return ['Level 2 assessment: second trigger in 12 months', 'stop'];
  return triggers === 'level-1' ? ['Level 1 assessment', 'question'] : ['No trigger', 'good'];
};

/** A number of the system, remembered on this device. */
function useRemembered(key: string): [string, (text: string) => void] {
  const [text, setText] = useState(() => localStorage.getItem(key) ?? '');
  return [
    text,
    (typed) => {
      setText(typed);
      localStorage.setItem(key, typed);
    },
  ];
}

const positive = (text: string): number | null => {
  const reading = readField(text);
  return reading.ok && reading.value >= 1 ? reading.value : null;
};

interface Props {
  system: string;
  results: readonly ResultOfSystem[];
  /** `2026-11` */
  last: string;
  zone: string;
}

/** Coliform samples by month: how many, how many positive, what that triggers, and how many are required. */
export function Coliforms({ system, results, last, zone }: Props) {
  const { months } = coliformYear(results, last, zone);
  const taken = months.reduce((sum, { samples }) => sum + samples, 0);
  const ids = { people: useId(), volume: useId() };
  const [people, setPeople] = useRemembered(`fonte.people-served.${system}`);
  const [volume, setVolume] = useRemembered(`fonte.volume-a-day.${system}`);
  const [served, distributed] = [positive(people), positive(volume)];
  const required = served === null ? null : monthlySamples(Math.ceil(served));
  const yearly = distributed === null ? null : yearlySamples(distributed);
  return (
    <section className="stack">
      <h2>Coliforms by month</h2>
      <div className="form-grid">
        <div className="typed">
          <label htmlFor={ids.people}>People served</label>
          <Input
            id={ids.people}
            size="large"
            inputMode="numeric"
            value={people}
            maxLength={9}
            onChange={(event) => setPeople(event.target.value)}
          />
          <span className="soft small">
            {required === null ? 'For the samples required by 40 CFR 141.857(b).' : `${required} a month by 40 CFR 141.857(b).`}
          </span>
        </div>
        <div className="typed">
          <label htmlFor={ids.volume}>m³ distributed a day</label>
          <Input
            id={ids.volume}
            size="large"
            inputMode="decimal"
            value={volume}
            maxLength={9}
            onChange={(event) => setVolume(event.target.value)}
          />
          <span className="soft small">
            {distributed === null
              ? 'For the samples required by Directive (EU) 2020/2184, Annex II.'
              : yearly === null
                ? 'Up to 10 m³ a day the state says how often.'
                : `${yearly.a} of group A and ${yearly.b} of group B a year by Directive (EU) 2020/2184, Annex II; ${taken} with coliforms in these twelve months.`}
          </span>
        </div>
      </div>
      <DataTable<Month>
        label="Coliforms by month"
        rows={months.filter(({ samples }) => samples > 0)}
        rowKey={({ month }) => month}
        newestFirst
        empty="No coliform sample in these twelve months."
        columns={[
          { title: 'Month', isShort: true, render: ({ month }) => month },
          {
            title: 'Samples',
            isNumber: true,
            render: ({ samples }) => (required === null ? samples : `${samples} of ${required}`),
          },
          { title: 'Positive', isNumber: true, render: ({ positive: found }) => found },
          { title: 'Share', isNumber: true, render: ({ positive: found, samples }) => `${showNumber((found / samples) * 100, 1)} %` },
          {
            title: 'What it triggers',
            render: (month) => {
              const [says, tone] = word(month);
              return (
                <span className={`word tone-${tone}`}>
                  <Mark kind={tone} size={15} />
                  {says}
                </span>
              );
            },
          },
        ]}
      />
      <p className="soft small">
        Routine and repeat samples only. From 40 samples a month on more than 5.0 % positive trigger a level 1 assessment, under 40 the
        second positive one; missed repeat samples trigger it too (40 CFR 141.859). An assessment that is not done in time is told to the
        State by the end of the next business day (40 CFR 141.861(a)(2)).
      </p>
    </section>
  );
}

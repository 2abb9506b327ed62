import { coliformYear, type ResultOfSystem } from '@fonte/core/compliance';
import { countFor } from '@fonte/core/due';
import { sayNumber, showNumber } from '@fonte/core/units';
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

/** A number of at least 1, or why it is none; neither where nothing was typed. */
function readCount(text: string): { value: number | null; error: string | null } {
  if (text.trim() === '') return { value: null, error: null };
  const reading = readField(text);
  if (!reading.ok) return { value: null, error: sayNumber(reading) };
  return reading.value >= 1 ? { value: reading.value, error: null } : { value: null, error: 'Must be at least 1.' };
}

/** A number of the system with its hint, or what is wrong with it. */
function Count({
  label,
  text,
  onChange,
  error,
  hint,
}: {
  label: string;
  text: string;
  onChange: (text: string) => void;
  error: string | null;
  hint: string;
}) {
  const id = useId();
  return (
    <div className="typed">
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        size="large"
        inputMode="decimal"
        value={text}
        maxLength={12}
        status={error ? 'error' : ''}
        aria-invalid={error !== null}
        onChange={(event) => onChange(event.target.value)}
      />
      <span className={`small ${error ? 'tone-stop' : 'soft'}`} role={error ? 'alert' : undefined}>
        {error ?? hint}
      </span>
    </div>
  );
}

interface Props {
  system: string;
  results: readonly ResultOfSystem[];
  /** `2026-11` */
  last: string;
  zone: string;
}

/** How many samples a year a volume asks for, beside those that were taken. */
function sayYearly(volume: number | null, taken: number): string {
  if (volume === null) return 'For the samples required by Directive (EU) 2020/2184, Annex II.';
  const [a, b] = [countFor('eu-group-a', volume), countFor('eu-group-b', volume)];
  if (a === null) return 'So little water: your authority sets the number of samples.';
  return `${a} of group A and ${b} of group B a year by Directive (EU) 2020/2184, Annex II; ${taken} with coliforms in these twelve months.`;
}

/** Coliform samples by month: how many, how many positive, what that triggers, and how many are required. */
export function Coliforms({ system, results, last, zone }: Props) {
  const { months } = coliformYear(results, last, zone);
  const taken = months.reduce((sum, { samples }) => sum + samples, 0);
  const [people, setPeople] = useRemembered(`fonte.people-served.${system}`);
  const [volume, setVolume] = useRemembered(`fonte.volume-a-day.${system}`);
  const [served, distributed] = [readCount(people), readCount(volume)];
  const required = served.value === null ? null : countFor('us-coliform', Math.ceil(served.value));
  return (
    <section className="stack">
      <h2>Coliforms by month</h2>
      <div className="form-grid">
        <Count
          label="People served"
          text={people}
          onChange={setPeople}
          error={served.error}
          hint={required === null ? 'For the samples required by 40 CFR 141.857(b).' : `${required} a month by 40 CFR 141.857(b).`}
        />
        <Count
          label="m³ distributed a day"
          text={volume}
          onChange={setVolume}
          error={distributed.error}
          hint={sayYearly(distributed.value, taken)}
        />
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

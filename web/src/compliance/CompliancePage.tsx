import { listSystems, monthsTo, resultsOfSystem } from '@fonte/core/compliance';
import { limitSets } from '@fonte/core/limits';
import { wallTime } from '@fonte/core/time';
import { Select } from 'antd';
import { useId } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useAnswer } from '../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { DayInput } from '../time/DayInput.tsx';
import { now } from '../time/clock.ts';
import { siteZone } from '../time/show.ts';
import { Averages } from './Averages.tsx';
import { Coliforms } from './Coliforms.tsx';
import { Legionella } from './Legionella.tsx';
import { Metals } from './Metals.tsx';

/** What results over time mean for a system: shares, percentiles and averages, beside the samples that are required. */
export function CompliancePage() {
  const [query, setQuery] = useSearchParams();
  const systems = useAnswer(listSystems, {});
  const ids = { system: useId(), until: useId() };
  const zone = siteZone();
  const today = wallTime(now(), zone).date;
  const until = query.get('until') ?? today;
  const system = query.get('system') ?? systems.data?.[0] ?? null;
  // Two years: the first of two triggers may lie before the twelve months that are shown.
  const from = `${monthsTo(until.slice(0, 7), 24)[0]!}-01`;
  const results = useAnswer(resultsOfSystem, system === null ? null : { query: { system, from } });
  if (systems.error && !systems.data) return <Failed error={systems.error} retry={() => void systems.mutate()} />;
  if (!systems.data) return <Loading what="the systems" />;
  if (system === null)
    return (
      <Empty title="No round was planned yet">
        <Link to="/rounds/new">Plan a round</Link>
      </Empty>
    );
  const set = (key: string, value: string) => setQuery({ system, until, ...Object.fromEntries(query), [key]: value }, { replace: true });
  const known = (results.data ?? []).filter(({ at }) => wallTime(at, zone).date <= until);
  const us = limitSets.on('us-40-cfr', until) ?? limitSets.newest.find(({ id }) => id === 'us-40-cfr')!;
  return (
    <>
      <h1>Compliance over time</h1>
      <div className="form-grid">
        <div className="typed">
          <label htmlFor={ids.system}>System or site</label>
          <Select
            id={ids.system}
            size="large"
            value={system}
            onChange={(value) => set('system', value)}
            options={systems.data.map((name) => ({ value: name, label: name }))}
          />
        </div>
        <div className="typed">
          <label htmlFor={ids.until}>Up to</label>
          <DayInput id={ids.until} value={until} onChange={(value) => set('until', value)} />
        </div>
      </div>
      {results.error && !results.data ? (
        <Failed error={results.error} retry={() => void results.mutate()} />
      ) : results.data ? (
        <>
          <Coliforms key={system} system={system} results={known} last={until.slice(0, 7)} zone={zone} />
          <Metals results={known} until={until} zone={zone} set={us} />
          <Averages results={known} last={until.slice(0, 7)} zone={zone} set={us} />
          <Legionella results={known} zone={zone} />
        </>
      ) : (
        <Loading what="its results" />
      )}
      <p className="soft small">
        Worked out from the results in these books, by 40 CFR 141 where no other text is named: an aid for whoever reports. What counts for
        compliance, and which samples, your authority says.
      </p>
    </>
  );
}

import { reportBrought, registerLists } from '@fonte/core/registers';
import { listRounds, sayNext } from '@fonte/core/round';
import { showDate } from '@fonte/core/time';
import { Button } from 'antd';
import { Link } from 'react-router';
import { useAnswer } from '../api/useAnswer.ts';
import { usePages } from '../api/usePages.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { May } from '../session/May.tsx';

/** What is next in a round that waits for its report, or has one to read. */
const ofReports = ['read-report', 'wait-for-report', 'settle-rows'];

/** Reports of rounds that wait for somebody, and those of samples that somebody else took. */
export function ReportsPage() {
  return (
    <>
      <div className="row between">
        <h1>Reports</h1>
        <May do={reportBrought}>
          <Link className="strong" to="/reports/new">
            Read a report that somebody brought
          </Link>
        </May>
      </div>
      <section className="stack">
        <h2>Of rounds</h2>
        <OfRounds />
      </section>
      <section className="stack">
        <h2>Of samples that somebody else took</h2>
        <Brought />
      </section>
    </>
  );
}

function OfRounds() {
  const { items, error, retry, more } = usePages(listRounds, {}, 50, (round) => `${round.date} ${round.code}`);
  if (error && !items) return <Failed error={error} retry={retry} />;
  if (!items) return <Loading what="the rounds" />;
  const waiting = items.filter(({ closed, overview }) => !closed && overview.next !== null && ofReports.includes(overview.next.code));
  return (
    <>
      <DataTable
        label="Rounds that wait for their report"
        rows={waiting}
        rowKey={({ id }) => id}
        empty="No round waits for a report."
        columns={[
          { title: 'Round', render: ({ id, name }) => <Link to={`/rounds/${id}/report`}>{name}</Link> },
          { title: 'Date', isShort: true, render: ({ date }) => showDate(date) },
          { title: 'Code', render: ({ code }) => code },
          { title: 'What is next', render: ({ overview }) => overview.next && sayNext(overview.next) },
        ]}
      />
      {more && (
        <div>
          <Button onClick={more}>Earlier rounds</Button>
        </div>
      )}
    </>
  );
}

function Brought() {
  const { data, error, mutate } = useAnswer(registerLists.reports, { query: { limit: 500 } });
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the reports" />;
  const latest = [...data].sort((a, b) => b.sampled.localeCompare(a.sampled));
  return (
    <DataTable
      label="Reports brought"
      rows={latest}
      rowKey={({ id }) => id}
      empty="Nobody has brought a report yet."
      columns={[
        { title: 'Which water', render: ({ id, name }) => <Link to={`/reports/${id}`}>{name}</Link> },
        { title: 'Sampled on', isShort: true, render: ({ sampled }) => showDate(sampled) },
        { title: 'Whose', render: ({ whose }) => whose ?? '' },
        { title: 'File', render: ({ file }) => file.name },
        {
          title: 'State',
          render: ({ outOfUse, point }) => (outOfUse ? `Put aside: ${outOfUse}` : point ? 'At a point' : 'At no point yet'),
        },
      ]}
    />
  );
}

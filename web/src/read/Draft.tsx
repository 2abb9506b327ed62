import { newId } from '@fonte/core/book';
import { parameter } from '@fonte/core/parameters';
import {
  draftReport,
  lineIn,
  overlapsOf,
  readReportWith,
  reportRead,
  sayLine,
  sayPlace,
  sayRow,
  unsaidOverlap,
  type Mapping,
  type OtherRound,
  type ReportDraft,
  type Role,
  type RoundReport,
} from '@fonte/core/read';
import { Button } from 'antd';
import { useMemo, useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { call } from '../api/call.ts';
import { sayConsequence } from '../book/consequences.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { May } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';
import { now } from '../time/clock.ts';
import { useDraft } from '../units/useDraft.ts';
import './read.css';
import { Columns } from './Columns.tsx';
import { FileQuestions } from './FileQuestions.tsx';
import { Results } from './Results.tsx';
import { Sheets } from './Sheets.tsx';
import { Standing } from './Standing.tsx';
import { Layout } from './Layout.tsx';

/** What was said of a file, with the columns that are proposed where none were said. */
function withColumns(said: Mapping | undefined, proposed: Mapping): Mapping {
  if (!said) return proposed;
  return Object.keys(said.columns).length > 0 ? said : { ...proposed, ...said, columns: proposed.columns };
}

/** Which column is what, what that makes of the rows, and what could not be understood. */
export function Draft({ report }: { report: RoundReport }) {
  const { id, round, refresh } = useRound();
  const navigate = useNavigate();
  // What was said of the file stays over a reload, until it is written down.
  const [said, setSaid, forget] = useDraft<{ mapping: Mapping | null }>(`mapping.${report.sha256}`, {
    mapping: report.read?.mapping ?? null,
  });
  const mapping = said.mapping ?? undefined;
  const setMapping = (next: Mapping) => setSaid({ mapping: next });
  const {
    data: answered,
    error,
    isValidating,
    mutate,
  } = useSWR(
    ['draft', id, report.sha256, mapping],
    () => call(draftReport, { in: { round: id, sha256: report.sha256 }, body: mapping ? { mapping } : {} }),
    { keepPreviousData: true, revalidateOnFocus: false },
  );
  const { busy, run, say } = useAction();
  const attempt = useRef<{ key: string; id: string } | null>(null);
  if (error) return <Failed error={error} retry={() => void mutate()} />;
  if (!answered) return <Loading what="the report" />;
  // What was said last, also while the server reads the file anew: an answer given meanwhile takes none back.
  const draft = { ...answered, mapping: withColumns(mapping, answered.mapping) };

  const assign = (column: number, role: Role | '') => {
    const kept = Object.entries(draft.mapping.columns).filter(([name, index]) => index !== column && name !== role);
    setMapping({ ...draft.mapping, columns: Object.fromEntries(role === '' ? kept : [...kept, [role, column]]) });
  };
  const answer = (change: Partial<Mapping>) => setMapping({ ...draft.mapping, ...change });
  const unsaid = unsaidOverlap(overlapsOf(draft.results, round.reports, report.sha256), draft.mapping.replaces);
  const isStatusOpen = draft.status === 'preliminary' && !draft.mapping.status;
  const write = () =>
    run(async () => {
      const key = JSON.stringify(draft.mapping);
      attempt.current = attempt.current?.key === key ? attempt.current : { key, id: newId(now()) };
      await call(readReportWith, {
        in: { round: id, sha256: report.sha256 },
        body: { id: attempt.current.id, mapping: draft.mapping },
      });
      forget();
      await refresh();
      await navigate(`/rounds/${id}/verdict`);
    });
  return (
    <>
      <Sheets draft={draft} choose={setMapping} />
      {draft.refusal?.code !== 'several-sheets' && (
        <>
          <Columns draft={draft} assign={assign} />
          <Layout draft={draft} answer={setMapping} />
        </>
      )}
      {draft.refusal && draft.refusal.code !== 'several-sheets' && (
        <p className="finding stop" role="alert">
          <Mark kind="stop" />
          <span>
            {sayPlace(draft.refusal)} <span className="small">{sayLine(draft.parts, draft.refusal.line)}.</span>{' '}
            {draft.refusal.code === 'limit-as-result' && (
              <Button onClick={() => answer({ isLimitTheResult: true })}>It holds the results all the same</Button>
            )}
          </span>
        </p>
      )}
      <FileQuestions draft={draft} answer={answer} />
      <Standing draft={draft} report={report} reports={round.reports} answer={answer} />
      <Elsewhere rounds={answered.elsewhere} />
      <Unread draft={draft} />
      <Results draft={draft} />
      <GoneWith draft={draft} report={report} />
      <Said say={say} />
      <div>
        <May do={readReportWith}>
          <Button
            type="primary"
            size="large"
            loading={busy}
            disabled={isValidating || draft.refusal !== null || draft.results.length === 0 || unsaid !== null || isStatusOpen}
            onClick={() => void write()}
          >
            Write {draft.results.length === 1 ? '1 result' : `${draft.results.length} results`} down
          </Button>
        </May>
        {unsaid && <p className="field-error">Say above whether this report replaces {unsaid.name}.</p>}
        {isStatusOpen && <p className="field-error">Say above whether another report will follow.</p>}
      </div>
    </>
  );
}

/** Labels of another round: its report is read there. */
function Elsewhere({ rounds }: { rounds: readonly OtherRound[] }) {
  return rounds.map(({ round, code, name, labels }) => (
    <p key={round} className="finding question">
      <Mark kind="question" />
      <span>
        <span className="strong">
          {labels === 1 ? '1 label' : `${labels} labels`} of this report {labels === 1 ? 'belongs' : 'belong'} to {name}, {code}.
        </span>{' '}
        <Link to={`/rounds/${round}/report`}>Read it there</Link>
      </span>
    </p>
  ));
}

/** Open follow-ups that this report would take away: whoever writes it down knows before. */
function GoneWith({ draft, report: { sha256 } }: { draft: ReportDraft; report: RoundReport }) {
  const { round, consequencesOf } = useRound();
  const { mapping, results, unreadCount, unread } = draft;
  const isOpen = round.followUps.some(({ done }) => done === null);
  const gone = useMemo(() => {
    if (!isOpen || results.length === 0) return [];
    const payload = { sha256, mapping, results, unread: unreadCount, rows: unread, header: [] };
    return consequencesOf(reportRead, payload).filter(({ code }) => code === 'follow-up-gone');
  }, [isOpen, consequencesOf, sha256, mapping, results, unreadCount, unread]);
  if (gone.length === 0) return null;
  return (
    <div className="finding question" role="status">
      <Mark kind="question" />
      <div>
        <p className="strong">Once this report is written down:</p>
        <ul>
          {gone.map((one) => (
            <li key={JSON.stringify(one)}>{sayConsequence(one, round.plan.zone)}</li>
          ))}
        </ul>
      </div>
    </div>
  );
}

/** The column that says on which sheet or page a row stands. */
const partColumn = ({ parts }: ReportDraft) =>
  parts.length > 0 ? [{ title: 'On', render: (row: { line: number }) => lineIn(parts, row.line).part }] : [];

function Unread({ draft }: { draft: ReportDraft }) {
  const missing = draft.missing.filter((line) => line.parameters.length > 0);
  return (
    <>
      {draft.unreadCount > 0 && (
        <section className="stack">
          <h2 className="word tone-question">
            <Mark kind="question" />
            Not understood: {draft.unreadCount} of {draft.rowCount} rows
          </h2>
          <DataTable
            label="Rows not understood"
            rows={draft.unread.slice(0, 30)}
            rowKey={(row) => `${row.line} ${row.column} ${row.code}`}
            columns={[
              ...partColumn(draft),
              { title: 'Line', isNumber: true, render: (row) => lineIn(draft.parts, row.line).line },
              { title: 'Column', isNumber: true, render: (row) => row.column },
              { title: 'It says', render: (row) => row.cell || '(empty)' },
              { title: 'Why not', render: (row) => sayRow(draft.parts, row) },
            ]}
          />
          {draft.unreadCount > 30 && <p className="soft">and {draft.unreadCount - 30} more</p>}
        </section>
      )}
      {draft.doubts.length > 0 && (
        <details className="finding question" open={draft.doubts.length < 6}>
          <summary className="strong">
            Look at these again: {draft.doubts.length === 1 ? '1 row is' : `${draft.doubts.length} rows are`} unusual, or at odds with the
            book
          </summary>
          <ul className="plain">
            {draft.doubts.slice(0, 30).map((row) => (
              <li key={`${row.line} ${row.column} ${row.code}`}>
                {sayLine(draft.parts, row.line)}: “{row.cell}”. {sayRow(draft.parts, row)}
              </li>
            ))}
          </ul>
        </details>
      )}
      {draft.apartCount > 0 && (
        <details>
          <summary>Set apart, no results of this round: {draft.apartCount === 1 ? '1 row' : `${draft.apartCount} rows`}</summary>
          <ul>
            {draft.apart.slice(0, 30).map((row) => (
              <li key={`${row.line} ${row.column}`}>
                {sayLine(draft.parts, row.line)}: “{row.cell}”. {sayRow(draft.parts, row)}
              </li>
            ))}
          </ul>
        </details>
      )}
      {missing.length > 0 && (
        <details>
          <summary>Asked for and not in the report: {missing.reduce((sum, line) => sum + line.parameters.length, 0)}</summary>
          <ul>
            {missing.map((line) => (
              <li key={line.bottle}>
                {line.bottle}: {line.parameters.map((one) => parameter(one).name).join(', ')}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

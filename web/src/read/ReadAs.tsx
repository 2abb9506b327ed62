import { parameter } from '@fonte/core/parameters';
import { lineIn, sayLine, sayPlace, sayRow, type Mapping, type ReportDraft, type Role } from '@fonte/core/read';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { DataTable } from '../feedback/DataTable.tsx';
import { Mark } from '../theme/Mark.tsx';
import './read.css';
import { Columns } from './Columns.tsx';
import { FileQuestions } from './FileQuestions.tsx';
import { Layout } from './Layout.tsx';
import { Results } from './Results.tsx';
import { Sheets } from './Sheets.tsx';

/** What was said of a file, with the columns that are proposed where none were said. */
export function withColumns(said: Mapping | undefined, proposed: Mapping): Mapping {
  if (!said) return proposed;
  return Object.keys(said.columns).length > 0 ? said : { ...proposed, ...said, columns: proposed.columns };
}

interface Props {
  draft: ReportDraft;
  /** What is said of the file from now on. */
  change: (mapping: Mapping) => void;
  /** What its results are of. */
  of?: 'Bottle' | 'Sample';
  /** What else is asked about the report, after the questions about its file. */
  children?: ReactNode;
}

/** How a file is read: which column is what, what is asked about it, what of it was not understood, and what it says. */
export function ReadAs({ draft, change, of = 'Bottle', children }: Props) {
  const assign = (column: number, role: Role | '') => {
    const kept = Object.entries(draft.mapping.columns).filter(([name, index]) => index !== column && name !== role);
    change({ ...draft.mapping, columns: Object.fromEntries(role === '' ? kept : [...kept, [role, column]]) });
  };
  const answer = (said: Partial<Mapping>) => change({ ...draft.mapping, ...said });
  return (
    <>
      <Sheets draft={draft} choose={change} />
      {draft.refusal?.code !== 'several-sheets' && (
        <>
          <Columns draft={draft} assign={assign} />
          <Layout draft={draft} answer={change} />
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
      {children}
      <Unread draft={draft} />
      <Results draft={draft} of={of} />
    </>
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

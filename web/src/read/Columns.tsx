import { named, roleNames, roles, type ReportDraft, type Role } from '@fonte/core/read';
import { Select, Table } from 'antd';
import { Mark } from '../theme/Mark.tsx';

/** A column that says nothing to the reader. */
const unread = '';

/** The first rows of a file under a choice for each of its columns. */
export function Columns({ draft, assign }: { draft: ReportDraft; assign: (column: number, role: Role | '') => void }) {
  const roleOf = (column: number): Role | '' => roles.find((role) => draft.mapping.columns[role] === column) ?? unread;
  // In a table that is turned, a column without a role may hold results.
  const holdsResults = (heading: string) =>
    draft.layout === 'wide' ? named(heading) !== null : draft.layout === 'transposed' && draft.results.length > 0 && heading !== '';
  const optionsOf = (heading: string) => [
    { value: unread, label: holdsResults(heading) ? 'Results' : 'Not read' },
    ...roles.map((role) => ({ value: role, label: roleNames[role] })),
  ];
  return (
    <section className="stack">
      <h2>Which column is what</h2>
      <p className="soft small">
        {draft.rowCount} rows, {draft.encoding}
        {draft.delimiter !== '' && `, split at “${draft.delimiter === '\t' ? 'tab' : draft.delimiter}”`}. The reporting limit is not the
        result.
      </p>
      {draft.isRemembered && (
        <p className="word tone-live" role="status">
          <Mark kind="live" />
          As the last report of this lab with these columns was read. Check it.
        </p>
      )}
      <div className="scroll" tabIndex={0} role="region" aria-label="Columns of the report">
        <Table
          className="columns"
          size="small"
          pagination={false}
          rowKey="row"
          dataSource={draft.preview.map((cells, row) => ({ row, cells }))}
          columns={draft.header.map((text, column) => ({
            key: column,
            title: (
              <>
                <Select<Role | ''>
                  aria-label={`Column ${text || column + 1} is`}
                  className={roleOf(column) === 'result' ? 'result' : ''}
                  value={roleOf(column)}
                  onChange={(role) => assign(column, role)}
                  options={optionsOf(text)}
                  popupMatchSelectWidth={false}
                />
                <div>{text}</div>
              </>
            ),
            render: (_, { cells }) => cells[column],
          }))}
        />
      </div>
    </section>
  );
}

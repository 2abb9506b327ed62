import { Grid, Table, type TableColumnsType } from 'antd';
import type { ReactNode } from 'react';

export interface Column<T> {
  title: string;
  /** What its head says at a desk, where it says more. */
  head?: ReactNode;
  isNumber?: boolean;
  /** It stays on one line. */
  isShort?: boolean;
  render: (row: T) => ReactNode;
  /** What stands on a card instead. */
  card?: (row: T) => ReactNode;
  /** It says nothing that a card does not say otherwise. */
  isDeskOnly?: boolean;
}

interface Props<T> {
  /** What it is a table of, for who cannot see it. */
  label: string;
  rows: readonly T[];
  columns: readonly Column<T>[];
  rowKey: (row: T) => string;
  rowClass?: (row: T) => string;
  /** On a phone, where a list is long before it is wide. */
  newestFirst?: boolean;
  empty?: string;
  className?: string;
}

/** More rows than anybody reads at once stand on several pages. */
const pageSize = 200;

/** Rows under named columns at a desk; on a phone a card each, with the first column as its head: nothing is cut off at the side. */
export function DataTable<T extends object>(props: Props<T>) {
  const isDesk = Grid.useBreakpoint().md !== false;
  return isDesk ? <Desk {...props} /> : <Cards {...props} />;
}

function Desk<T extends object>({ label, rows, columns, rowKey, rowClass = () => '', empty = 'Nothing yet.', className = '' }: Props<T>) {
  const shown: TableColumnsType<T> = columns.map((column) => ({
    key: column.title,
    title: column.head ?? column.title,
    ...(column.isNumber ? { align: 'right' as const } : {}),
    ...(column.isNumber || column.isShort ? { className: 'one-line' } : {}),
    render: (_: unknown, row: T) => column.render(row),
  }));
  return (
    <div className={`scroll ${className}`} tabIndex={0} role="region" aria-label={label}>
      <Table<T>
        dataSource={rows}
        rowKey={rowKey}
        rowClassName={rowClass}
        columns={shown}
        size="small"
        pagination={rows.length > pageSize ? { pageSize, showSizeChanger: false } : false}
        locale={{ emptyText: <span className="soft">{empty}</span> }}
      />
    </div>
  );
}

function Cards<T extends object>({ label, rows, columns, rowKey, rowClass = () => '', newestFirst, empty, className = '' }: Props<T>) {
  const [head, ...others] = columns as readonly [Column<T>, ...Column<T>[]];
  const said = ({ card, render }: Column<T>, row: T) => (card ?? render)(row);
  return (
    <ul className={`plain cards ${className}`} aria-label={label}>
      {rows.length === 0 && <li className="soft">{empty}</li>}
      {(newestFirst ? rows.toReversed() : rows).map((row) => (
        <li key={rowKey(row)} className={rowClass(row)}>
          <div className="card-head">{said(head, row)}</div>
          <dl>
            {others
              .filter((column) => !column.isDeskOnly)
              .map((column) => ({ column, shown: said(column, row) }))
              .filter(({ shown }) => shown !== undefined && shown !== null && shown !== '')
              .map(({ column, shown }) => (
                <div key={column.title}>
                  <dt className="soft small">{column.title}</dt>
                  <dd>{shown}</dd>
                </div>
              ))}
          </dl>
        </li>
      ))}
    </ul>
  );
}

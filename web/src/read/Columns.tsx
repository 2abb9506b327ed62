import { roleNames, roles, type ReportDraft, type Role } from '@fonte/core/read';

export function Columns({ draft, assign }: { draft: ReportDraft; assign: (column: number, role: Role | '') => void }) {
  const roleOf = (column: number) => roles.find((role) => draft.mapping.columns[role] === column) ?? '';
  return (
    <section className="stack">
      <h2>Which column is what</h2>
      <p className="soft small">
        {draft.rowCount} rows, {draft.encoding}, split at “{draft.delimiter === '\t' ? 'tab' : draft.delimiter}”. The reporting limit is not
        the result.
      </p>
      <div className="scroll" tabIndex={0} role="region" aria-label="Columns of the report">
        <table className="dense columns">
          <thead>
            <tr>
              {draft.header.map((text, column) => (
                <th key={column}>
                  <select
                    aria-label={`Column ${text || column + 1} is`}
                    value={roleOf(column)}
                    className={roleOf(column) === 'result' ? 'result' : ''}
                    onChange={(event) => assign(column, event.target.value as Role | '')}
                  >
                    <option value="">Not read</option>
                    {roles.map((role) => (
                      <option key={role} value={role}>
                        {roleNames[role]}
                      </option>
                    ))}
                  </select>
                  <div>{text}</div>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {draft.preview.map((cells, row) => (
              <tr key={row}>
                {draft.header.map((_, column) => (
                  <td key={column}>{cells[column]}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

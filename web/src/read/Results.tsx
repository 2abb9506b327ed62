import { parameter } from '@fonte/core/parameters';
import { type ReportDraft } from '@fonte/core/read';
import { showNumber, unitLabel } from '@fonte/core/units';

const prefix = { value: '', below: '< ', above: '> ', present: '', absent: '', uncountable: '' };

const word = { value: '', below: 'not detected', above: '', present: 'present', absent: 'absent', uncountable: 'too many to count' };

export function Results({ draft }: { draft: ReportDraft }) {
  if (draft.results.length === 0) return null;
  return (
    <section className="stack">
      <h2>What would be written down</h2>
      <div className="scroll" tabIndex={0} role="region" aria-label="Results">
        <table className="dense">
          <thead>
            <tr>
              <th>Bottle</th>
              <th>What</th>
              <th className="number">The lab writes</th>
              <th className="number">Read as</th>
              <th className="number">Reporting limit</th>
            </tr>
          </thead>
          <tbody>
            {draft.results.map((result) => {
              const { name, unit, decimals } = parameter(result.parameter);
              const shown = (value: number) =>
                `${showNumber(value, value !== 0 && Math.abs(value) < 10 ** -decimals ? decimals + 2 : decimals)} ${unitLabel(unit)}`;
              return (
                <tr key={`${result.bottle} ${result.parameter}`}>
                  <td>{result.bottle}</td>
                  <td>{name}</td>
                  <td className="number">
                    {result.written.result} {result.written.unit}
                  </td>
                  <td className="number strong">
                    {result.value === null ? word[result.form] : `${prefix[result.form]}${shown(result.value)}`}
                    {result.estimated ? ' (estimate)' : ''}
                  </td>
                  <td className="number soft">{result.reportingLimit === null ? '–' : shown(result.reportingLimit)}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </section>
  );
}

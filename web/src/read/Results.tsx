import { parameter, type ParameterId } from '@fonte/core/parameters';
import type { LabResult, ReportDraft } from '@fonte/core/read';
import { showNumber, unitLabel } from '@fonte/core/units';
import { DataTable } from '../feedback/DataTable.tsx';

const prefix = { value: '', below: '< ', above: '> ', present: '', absent: '', uncountable: '' };

const word = { value: '', below: 'not detected', above: '', present: 'present', absent: 'absent', uncountable: 'too many to count' };

/** A number of a parameter in its unit, with the digits that it needs. */
function shown(id: ParameterId, value: number): string {
  const { unit, decimals } = parameter(id);
  return `${showNumber(value, value !== 0 && Math.abs(value) < 10 ** -decimals ? decimals + 2 : decimals)} ${unitLabel(unit)}`;
}

function readAs({ parameter: id, form, value, estimated }: LabResult): string {
  return `${value === null ? word[form] : `${prefix[form]}${shown(id, value)}`}${estimated ? ' (estimate)' : ''}`;
}

export function Results({ draft }: { draft: ReportDraft }) {
  if (draft.results.length === 0) return null;
  return (
    <section className="stack">
      <h2>What would be written down</h2>
      <DataTable
        label="Results"
        rows={draft.results}
        rowKey={(result) => `${result.bottle} ${result.parameter}`}
        columns={[
          { title: 'Bottle', render: (result) => result.bottle },
          { title: 'What', render: (result) => parameter(result.parameter).name },
          { title: 'The lab writes', isNumber: true, render: ({ written }) => `${written.result} ${written.unit}` },
          { title: 'Read as', isNumber: true, render: (result) => <span className="strong">{readAs(result)}</span> },
          {
            title: 'Reporting limit',
            isNumber: true,
            render: ({ parameter: id, reportingLimit }) => (
              <span className="soft">{reportingLimit === null ? '–' : shown(id, reportingLimit)}</span>
            ),
          },
        ]}
      />
    </section>
  );
}

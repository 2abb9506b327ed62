import { parameter, type ParameterId } from '@fonte/core/parameters';
import { measuredOf, sayLine, type LabResult, type ReportDraft } from '@fonte/core/read';
import { showExact, unitLabel } from '@fonte/core/units';
import { DataTable } from '../feedback/DataTable.tsx';
import { asPrinted } from './printed.ts';

/** A limit of a parameter in its unit, without digits that nobody printed. */
const shown = (id: ParameterId, value: number): string => `${showExact(Number(value.toPrecision(4)))} ${unitLabel(parameter(id).unit)}`;

function readAs(result: LabResult): string {
  const { text, unit } = asPrinted(result);
  const { unit: own } = parameter(result.parameter);
  const by = result.uncertainty === undefined ? '' : ` ± ${showExact(Number(result.uncertainty.toPrecision(3)))}`;
  return `${text}${by} ${result.value === null ? '' : unit || unitLabel(own)}${result.estimated ? ' (estimate)' : ''}`.trim();
}

/** What of a report would be written down; `of` is what it calls what it measured. */
export function Results({ draft, of }: { draft: ReportDraft; of: 'Bottle' | 'Sample' }) {
  if (draft.results.length === 0) return null;
  return (
    <section className="stack">
      <h2>What would be written down</h2>
      <DataTable
        label="Results"
        rows={draft.results}
        rowKey={measuredOf}
        columns={[
          { title: of, render: (result) => result.bottle },
          { title: 'What', render: (result) => `${parameter(result.parameter).name}${result.fraction ? `, ${result.fraction}` : ''}` },
          { title: 'At', render: ({ line }) => <span className="soft">{sayLine(draft.parts, line)}</span> },
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

import { named, type Mapping, type ReportDraft } from '@fonte/core/read';
import { parameter } from '@fonte/core/parameters';
import { Select } from 'antd';

/** How results stand in the table, where it is not one to a row; and what the lab wrote above it. */
export function Layout({ draft, answer }: { draft: ReportDraft; answer: (mapping: Mapping) => void }) {
  const { mapping, preamble, layout, header } = draft;
  const known = header.flatMap((heading) => named(heading) ?? []);
  const isWide = layout !== 'long' || known.length > 1;
  return (
    <>
      {preamble.length > 0 && (
        <details>
          <summary>Above the table: {preamble.length === 1 ? '1 line' : `${preamble.length} lines`}</summary>
          {preamble.map((line) => (
            <div key={line} className="small soft">
              {line}
            </div>
          ))}
        </details>
      )}
      {isWide && (
        <p className="row">
          <span>
            The table has
            {layout === 'wide' ? ` a column each for ${known.map((one) => parameter(one.parameter).name.toLowerCase()).join(', ')}` : ''}
          </span>
          <Select
            popupMatchSelectWidth={false}
            aria-label="How results stand in the table"
            value={layout}
            onChange={(value) => answer({ ...mapping, layout: value })}
            options={[
              { value: 'long', label: 'One result to a row' },
              { value: 'wide', label: 'A row for each sample' },
              { value: 'transposed', label: 'A column for each sample' },
            ]}
          />
        </p>
      )}
    </>
  );
}

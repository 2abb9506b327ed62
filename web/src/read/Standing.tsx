import { overlapsOf, type Mapping, type ReportDraft, type RoundReport } from '@fonte/core/read';
import { Segmented } from 'antd';
import { Mark } from '../theme/Mark.tsx';

const statusSays = {
  preliminary: 'The file calls itself preliminary.',
  amended: 'The file calls itself amended.',
  final: 'The file calls itself final.',
} as const;

const plural = (count: number, one: string, many: string) => (count === 1 ? `1 ${one}` : `${count} ${many}`);

/** Whether another report will follow this one, and what becomes of those before it. */
export function Standing({
  draft,
  report,
  reports,
  answer,
}: {
  draft: ReportDraft;
  report: RoundReport;
  reports: readonly RoundReport[];
  answer: (change: Partial<Mapping>) => void;
}) {
  const { mapping, status } = draft;
  const overlaps = overlapsOf(draft.results, reports, report.sha256).filter(
    ({ differ, sha256 }) => differ > 0 || mapping.replaces?.[sha256],
  );
  const asks = status !== null || mapping.status !== undefined;
  if (!asks && overlaps.length === 0) return null;
  return (
    <div className="finding question">
      <Mark kind="question" />
      <div className="stack">
        {asks && (
          <div>
            <p>
              <span className="strong">{status ? statusSays[status] : ''} Will the lab send another report for it?</span>
            </p>
            <Segmented
              aria-label="This report is"
              value={mapping.status ?? ''}
              onChange={(value) => answer({ status: value as 'preliminary' })}
              options={[
                { value: 'preliminary', label: 'Yes: preliminary' },
                { value: 'final', label: 'No: final' },
              ]}
            />
          </div>
        )}
        {overlaps.map(({ sha256, name, differ, onlyThere }) => (
          <div key={sha256}>
            <p>
              <span className="strong">
                {plural(differ, 'result differs', 'results differ')} from {name}, which was written down before.
              </span>{' '}
              {onlyThere > 0 ? `${plural(onlyThere, 'result stands', 'results stand')} only there.` : ''} Does this report replace it? Both
              stay kept.
            </p>
            <Segmented
              aria-label={`${name} is replaced`}
              value={mapping.replaces?.[sha256] ?? ''}
              onChange={(value) => answer({ replaces: { ...mapping.replaces, [sha256]: value as 'whole' } })}
              options={[
                { value: 'whole', label: 'All of it' },
                { value: 'repeated', label: 'Only what it repeats' },
              ]}
            />
          </div>
        ))}
      </div>
    </div>
  );
}

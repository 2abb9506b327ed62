import { newId } from '@fonte/core/book';
import {
  draftReport,
  overlapsOf,
  readReportWith,
  reportRead,
  unsaidOverlap,
  type Mapping,
  type OtherRound,
  type ReportDraft,
  type RoundReport,
} from '@fonte/core/read';
import { Button } from 'antd';
import { useMemo, useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { call } from '../api/call.ts';
import { sayConsequence } from '../book/consequences.ts';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { May } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';
import { now } from '../time/clock.ts';
import { useDraft } from '../units/useDraft.ts';
import { ReadAs, withColumns } from './ReadAs.tsx';
import { Standing } from './Standing.tsx';

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
      <ReadAs draft={draft} change={setMapping}>
        <Standing draft={draft} report={report} reports={round.reports} answer={answer} />
        <Elsewhere rounds={answered.elsewhere} />
      </ReadAs>
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

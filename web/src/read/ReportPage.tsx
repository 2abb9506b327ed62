import { addressOf } from '@fonte/core/endpoints';
import {
  fetchReports,
  isToRead,
  reportFileTypes,
  reportFile,
  reportPutAside,
  sayPlace,
  takeReport,
  type RoundReport,
} from '@fonte/core/read';
import { bottlesAtLab, openAtLab } from '@fonte/core/round';
import { Button, Upload } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { z } from 'zod';
import { call } from '../api/call.ts';
import { Empty } from '../feedback/Feedback.tsx';
import { Correct } from '../book/Correct.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { May } from '../session/May.tsx';
import { readDraft } from '../units/drafts.ts';
import { Draft } from './Draft.tsx';
import { Rows } from './Gaps.tsx';
import { CallTaken } from './Told.tsx';
import { PasteIn } from './PasteIn.tsx';
import { TypeIn } from './TypeIn.tsx';

/** Reports as they come, the last one first: fetched from the lab or taken in as a file, then read by a person's choice of columns. */
export function ReportPage() {
  const { id, round, refresh } = useRound();
  const { busy, run, say } = useAction();
  const fetching = useAction();
  const [hasNone, setHasNone] = useState(false);
  const [byHand, setByHand] = useState<'type' | 'paste' | null>(() => (readDraft(`pasted.${id}`) === null ? null : 'paste'));
  const shut = () => setByHand(null);
  const fetchIt = () =>
    fetching.run(async () => {
      const { reports } = await call(fetchReports, { in: { round: id } });
      setHasNone(reports.length === 0);
      await refresh();
    });
  const take = async (...chosen: File[]) => {
    for (const file of chosen) await call(takeReport, { in: { round: id }, query: { name: file.name.slice(0, 200) }, body: file });
    await refresh();
  };
  const atLab = bottlesAtLab(round).size;
  return (
    <div className="stack-wide">
      <div className="row between">
        <h1>
          {round.reports.length === 0
            ? 'Report'
            : round.reports.some(isToRead)
              ? 'A report to read'
              : round.reports.some((report) => report.read)
                ? 'The report is read'
                : 'Report'}
        </h1>
        <May do={takeReport}>
          <div className="row">
            <Button
              size="large"
              type={round.reports.length === 0 ? 'primary' : 'default'}
              loading={fetching.busy}
              disabled={!round.handOvers.some((handOver) => handOver.answer)}
              onClick={() => void fetchIt()}
            >
              Fetch from the lab
            </Button>
            <Upload
              accept={Object.values(reportFileTypes).flat().join(',')}
              showUploadList={false}
              multiple
              beforeUpload={(chosen, all) => {
                if (chosen === all[0]) void run(() => take(...all));
                return false;
              }}
            >
              <Button size="large" loading={busy}>
                Take in a file
              </Button>
            </Upload>
            <Button size="large" onClick={() => setByHand('paste')}>
              Paste text
            </Button>
            <Button size="large" disabled={atLab === 0} onClick={() => setByHand('type')}>
              Type results in
            </Button>
            <CallTaken of={openAtLab(round)} />
          </div>
        </May>
      </div>
      <Said say={say ?? fetching.say} />
      {byHand === 'type' && <Typing picture={round.reports.findLast(isPicture)} done={shut} />}
      {byHand === 'paste' && <PasteIn keep={id} take={take} done={shut} />}
      {hasNone && round.reports.length === 0 && <p role="status">The lab has no report yet. It takes about a day.</p>}
      {round.reports.length === 0 && atLab === 0 && (
        <Empty title="No bottle is at the lab">
          <p>A report can be read once bottles are handed over.</p>
        </Empty>
      )}
      {round.reports.toReversed().map((report) => (
        <Report key={report.sha256} report={report} isTyping={byHand === 'type'} />
      ))}
    </div>
  );
}

/** Whether a report is a picture, which only a person reads. */
const isPicture = ({ fault, putAside }: RoundReport): boolean => fault?.code === 'picture' && !putAside;

function Picture({ report: { sha256, name } }: { report: RoundReport }) {
  const { id } = useRound();
  return <img src={addressOf(reportFile, { in: { round: id, sha256 } })} alt={`The report ${name}`} className="of-report" />;
}

/** Results as a person reads them, off paper or off the picture of it that stands beside them. */
function Typing({ picture, done }: { picture: RoundReport | undefined; done: () => void }) {
  if (!picture) return <TypeIn done={done} />;
  return (
    <div className="beside-report">
      <TypeIn done={done} />
      <Picture report={picture} />
    </div>
  );
}

function Report({ report, isTyping }: { report: RoundReport; isTyping: boolean }) {
  const { id, round } = useRound();
  const address = addressOf(reportFile, { in: { round: id, sha256: report.sha256 } });
  return (
    <section className="stack-wide">
      <p>
        <span className="strong">{report.name}</span>{' '}
        <span className="soft">
          {(report.size / 1024).toFixed(1)} kB, {showMoment(report.at, round.plan.zone)}, kept under {report.sha256.slice(0, 12)}…
        </span>{' '}
        <a href={address} download>
          Save the file
        </a>
      </p>
      {report.read && !report.putAside && (
        <div className="row between panel">
          <p className="word tone-good">
            <Mark kind="good" />
            {report.read.results.length} results written down{report.read.unread > 0 ? `, ${report.read.unread} rows not understood` : ''}
          </p>
          <Link className="strong" to={`/rounds/${id}/verdict`}>
            To the verdict
          </Link>
        </div>
      )}
      {report.read && !report.putAside && report.read.unread > 0 && <Rows report={report} isHere />}
      {report.putAside ? (
        <p className="finding note">
          <Mark kind="note" />
          <span>
            Put aside: {report.putAside.reason}. It says nothing about this round.{' '}
            <Correct entry={report.putAside.entry} kind={reportPutAside} what={`putting ${report.name} aside`} />
          </span>
        </p>
      ) : report.read ? (
        <>
          <details>
            <summary>Read it again with other columns</summary>
            <Draft report={report} />
          </details>
          <PutAside report={report} />
        </>
      ) : isPicture(report) ? (
        <>
          <p className="finding note">
            <Mark kind="note" />
            <span>{sayPlace(report.fault!)}</span>
          </p>
          {!isTyping && <Picture report={report} />}
          <PutAside report={report} />
        </>
      ) : (
        <>
          <Draft report={report} />
          <PutAside report={report} />
        </>
      )}
    </section>
  );
}

/** A report that is not to be read, or not any more: it stays kept, with the reason why. */
function PutAside({ report }: { report: RoundReport }) {
  const { append } = useRound();
  const form = useEntryForm<{ reason: string }, z.output<typeof reportPutAside.payload>>({
    keep: `put-aside.${report.sha256}`,
    initial: { reason: '' },
    schema: reportPutAside.payload,
    read: ({ reason }) => ({ value: { sha256: report.sha256, reason }, problems: [] }),
    write: (payload, { id, kept }) => append(reportPutAside, payload, { id, kept }),
  });
  return (
    <details className="panel">
      <summary>Put this file aside</summary>
      <p className="soft">It stays kept under its hash, and says nothing about this round.</p>
      <EntryForm of={form} submit="Put it aside" tone="default" enter="nothing" className="stack">
        <Field name="reason" label="Why" placeholder="somebody else’s report, cannot be read, withdrawn by the lab …" />
      </EntryForm>
    </details>
  );
}

import { addressOf } from '@fonte/core/endpoints';
import { shownSource } from '@fonte/core/editions';
import { judgeBrought, type JudgedResult } from '@fonte/core/limits';
import { parameter } from '@fonte/core/parameters';
import { broughtFile, readBroughtReport, sayLine, sayRow, type BroughtDraft } from '@fonte/core/read';
import { pointKind, pointPlaces, registered, reportBrought, waters, type BroughtReport } from '@fonte/core/registers';
import { showDate } from '@fonte/core/time';
import { Link, useParams } from 'react-router';
import { useAnswer } from '../api/useAnswer.ts';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { aboutNumber, LimitScale, Others, SomePeople, Sum, verdictWords as words } from '../limits/index.ts';
import { asPrinted } from '../read/index.ts';
import { May } from '../session/May.tsx';
import { Mark } from '../theme/Mark.tsx';

/** What a report that somebody brought says of its water. */
function Brought({ thing }: { thing: BroughtReport }) {
  const { data, error, mutate } = useAnswer(readBroughtReport, { in: { id: thing.id } }, { revalidateOnFocus: false });
  const { data: points = [] } = useAnswer(pointPlaces, {});
  const point = points.find(({ id }) => id === thing.point);
  const { name, sampled, whose, takenBy, kind, water, outOfUse, file } = thing;
  const about = [
    `Sampled on ${showDate(sampled)}${takenBy ? ` by ${takenBy}` : ''}.`,
    `${pointKind(kind).name}, ${waters[water].toLowerCase()} water.`,
    whose ? `${whose}.` : '',
  ];
  return (
    <div className="stack-wide">
      <header className="row between">
        <div>
          <h1>{name}</h1>
          <p className="soft">{about.join(' ')}</p>
          <p>
            {point ? (
              <>
                At <Link to={`/points/${point.id}`}>{point.name}</Link>.
              </>
            ) : (
              'At no point of the register yet.'
            )}{' '}
            <a href={addressOf(broughtFile, { in: { id: thing.id } })} download>
              Save {file.name}
            </a>
          </p>
        </div>
        <May do={reportBrought}>
          <Link className="strong" to={`/reports/${thing.id}/edit`}>
            Change
          </Link>
        </May>
      </header>
      {outOfUse && (
        <p className="finding stop">
          <Mark kind="stop" />
          <span>Put aside: {outOfUse}. It says nothing about this water.</span>
        </p>
      )}
      {error ? (
        <Failed error={error} retry={() => void mutate()} />
      ) : data ? (
        <Says report={thing} draft={data} />
      ) : (
        <Loading what="the report" />
      )}
    </div>
  );
}

/** What the report says in one sentence; nothing is well of what nobody understood. */
function headlineOf(judged: readonly JudgedResult[]): string {
  if (judged.length === 0) return 'No result was understood';
  const over = judged.filter(({ verdict: { state } }) => state === 'over-health' || state === 'over-action');
  if (over.length > 0) return `Over a value: ${over.map(({ result }) => parameter(result.parameter).name).join(', ')}`;
  const open = judged.filter(({ verdict: { state } }) => state === 'cannot-tell').length;
  const tested = judged.length === 1 ? '1 result' : `${judged.length} results`;
  return `Nothing over a health value in ${tested}${open > 0 ? `; ${open} of them cannot tell` : ''}`;
}

/** Its results against its limits, and what of it nobody understood. */
function Says({ report, draft }: { report: BroughtReport; draft: BroughtDraft }) {
  const verdict = judgeBrought(report, draft.results);
  if (!verdict)
    return (
      <p className="finding stop">
        <Mark kind="stop" />
        <span>It is compared with a set that this copy of Fonte does not have. Update it, or choose another set.</span>
      </p>
    );
  const { sets, judged, sums, isDrunk } = verdict;
  const [first, ...others] = sets;
  return (
    <>
      <section className="stack">
        <h2>{headlineOf(judged)}</h2>
        <p className="soft">
          Against {first.name}, {shownSource(first.source)}
          {others.length > 0 ? `; beside it ${others.map((set) => set.name).join(' and ')}` : ''}. Your authority may set stricter values;
          its word comes first.
        </p>
        <p className="finding note">
          <Mark kind="note" />
          <span>
            Somebody else took this sample. A number over a value is to be taken seriously; one under it proves nothing. Where it counts,
            sample again.
          </span>
        </p>
        {draft.status === 'preliminary' && (
          <p className="finding question">
            <Mark kind="question" />
            <span>The report calls itself preliminary: the lab may send another one.</span>
          </p>
        )}
        {isDrunk && <SomePeople of={judged} />}
        <ul className="judged plain">
          {sums.map((sum) => (
            <Sum key={sum.rule.id} sum={sum} />
          ))}
          {judged.map((one) => (
            <Line key={`${one.result.line} ${one.result.parameter} ${one.result.fraction ?? ''}`} one={one} draft={draft} />
          ))}
        </ul>
      </section>
      {draft.unread.length > 0 && (
        <section className="stack">
          <h2>Not understood: {draft.unreadCount === 1 ? '1 row' : `${draft.unreadCount} rows`}</h2>
          <ul className="plain small">
            {draft.unread.slice(0, 30).map((row) => (
              <li key={`${row.line} ${row.column} ${row.code}`}>
                {sayLine(draft.parts, row.line)}: “{row.cell}”. {sayRow(draft.parts, row)}
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function Line({ one, draft }: { one: JudgedResult; draft: BroughtDraft }) {
  const { result, verdict } = one;
  const [word, kind, tone] = words[verdict.state];
  const { text, unit } = asPrinted(result);
  return (
    <li className={verdict.state}>
      <span className="strong">
        {parameter(result.parameter).name}
        {result.fraction ? `, ${result.fraction}` : ''}
      </span>
      <span className="number">
        {text}
        <span className="unit">{unit}</span>
      </span>
      {verdict.limit ? <LimitScale of={one} /> : <span />}
      <span className={`word tone-${tone}`}>
        <Mark kind={kind} />
        {word}
      </span>
      <span className="small soft">
        {[...aboutNumber(one), `${sayLine(draft.parts, result.line)}: “${result.written.result} ${result.written.unit}”.`]
          .filter((sentence) => sentence !== '')
          .join(' ')}
      </span>
      <Others of={one} />
    </li>
  );
}

/** A report that somebody brought, by its address. */
export function BroughtPage() {
  const { thing: id = '' } = useParams();
  const { data, error, mutate } = useAnswer(registered.reports, { in: { id } });
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  return data ? <Brought key={id} thing={data} /> : <Loading what="the report" />;
}

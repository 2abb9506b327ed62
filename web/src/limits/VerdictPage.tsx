import { sayRecordOfBox } from '@fonte/core/custody';
import { sayCount, sayCultureDoubt, sayLimits, type CultureBook } from '@fonte/core/culture';
import { waterOf } from '@fonte/core/limits';
import { parameter } from '@fonte/core/parameters';
import { measuredOf } from '@fonte/core/read';
import { benchCount, recordOfBottle, type RoundResult, type RoundVerdict, type VisitVerdict } from '@fonte/core/round';
import { Link } from 'react-router';
import { saySample } from '@fonte/core/tap';
import { FollowUps } from '../act/index.ts';
import { asPrinted, ByHand, Gaps } from '../read/index.ts';
import { showMoment } from '../time/show.ts';
import { refOf, shownSource } from '@fonte/core/editions';
import { Empty } from '../feedback/Feedback.tsx';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { verdictWords as words } from './verdictWords.ts';
import { Blanks, Refused } from './Beside.tsx';
import { aboutResult } from './aboutResult.ts';
import { headline } from './headline.ts';
import { OnSite } from './OnSite.tsx';
import { Others } from './Others.tsx';
import { SomePeople, Sum } from './Sums.tsx';
import { WorkedOut } from './WorkedOut.tsx';
import { JudgeAnew } from './JudgeAnew.tsx';
import { useLeadingLimits } from '../editions/leading.ts';
import { ledBy } from './leading.ts';
import { LimitScale } from './LimitScale.tsx';

/** The verdict in one sentence, bacteria first; then each result on its own scale. */
export function VerdictPage() {
  const { id, round } = useRound();
  const { leading } = useLeadingLimits();
  if (!round.verdict)
    return (
      <div className="stack-wide">
        <Empty title="There is no verdict yet">
          <p>It follows from the report, once it is read.</p>
          <Link to={`/rounds/${id}/report`}>To the report</Link>
        </Empty>
        <ByHand />
      </div>
    );
  const verdict = ledBy(round.verdict, leading);
  const [own] = round.verdict.sets;
  return (
    <div className="stack-wide">
      <h1>{headline(verdict)}</h1>
      <Sets verdict={verdict} />
      {verdict !== round.verdict && (
        <p className="finding note small">
          <Mark kind="note" />
          <span>
            You see {verdict.sets[0].name} first, by your settings. What must be done follows from {own.name}, which leads this round.
          </span>
        </p>
      )}
      {round.followUps.length > 0 && <FollowUps />}
      <Gaps gaps={round.verdict.gaps} />
      <ByHand />
      {verdict.visits.map((visit) => (
        <AtPoint key={visit.visit} verdict={visit} ofRound={verdict.sets} />
      ))}
      <Blanks verdict={round.verdict} />
      <Refused />
    </div>
  );
}

/** How much of the leading set was tested at all: what nobody measured, nobody judged. */
function sayTested({ sets: [lead], visits }: RoundVerdict): string {
  const known = new Set(lead.rows.map((row) => row.parameter));
  const tested = new Set(visits.flatMap((visit) => visit.judged.map(({ result }) => result.parameter)).filter((id) => known.has(id)));
  return `Tested: ${tested.size} of the ${known.size} values that Fonte has of this set.`;
}

/** What the results were compared with. */
function Sets({ verdict }: { verdict: RoundVerdict }) {
  const { sets } = verdict;
  const [first, ...others] = sets;
  return (
    <div className="row between">
      <div className="soft">
        Against {first.name}
        {others.length > 0 ? `; beside it ${others.map((set) => set.name).join(' and ')}` : ''}. Your authority may set stricter values; its
        word comes first. {sayTested(verdict)}
        <details className="small">
          <summary>Sources</summary>
          <ul>
            {sets.map((set) => (
              <li key={refOf(set)}>
                {set.name}: {shownSource(set.source)}, edition {set.edition}. {set.comparison}
              </li>
            ))}
          </ul>
        </details>
      </div>
      <JudgeAnew />
    </div>
  );
}

function AtPoint({ verdict, ofRound }: { verdict: VisitVerdict; ofRound: RoundVerdict['sets'] }) {
  const hasOwn = verdict.sets.map(refOf).join() !== ofRound.map(refOf).join();
  return (
    <section className="stack">
      <h2>{verdict.pointName}</h2>
      {hasOwn && (
        <p className="soft">
          Against its own limits here: {verdict.sets.map((set) => `${set.name}, ${shownSource(set.source)}`).join('; beside it ')}.
        </p>
      )}
      {verdict.use === 'monitoring' && verdict.sets.every((set) => waterOf(set) === null) && (
        <p className="finding note small">
          <Mark kind="note" />
          <span>Registered as a monitoring well: the values for drinking water are a comparison.</span>
        </p>
      )}
      {verdict.use === 'supply' && <SomePeople of={verdict.judged} />}
      <ul className="judged plain">
        {verdict.sums
          .filter((sum) => sum.state !== 'meets')
          .map((sum) => (
            <Sum key={sum.rule.id} sum={sum} />
          ))}
        {verdict.judged.map((one) => (
          <Line key={`${measuredOf(one.result)} ${one.report}`} one={one} />
        ))}
        {verdict.sums
          .filter((sum) => sum.state === 'meets')
          .map((sum) => (
            <Sum key={sum.rule.id} sum={sum} />
          ))}
      </ul>
      <WorkedOut of={verdict} />
      <OnSite of={verdict.onSite} />
    </section>
  );
}

/** A count of the own bench as it was made: a most probable number, not what a judgement makes of it. */
function asCounted(cultures: CultureBook, { bottle, parameter: of }: RoundResult['result']): { text: string; unit: string } {
  const found = benchCount(cultures, bottle);
  return { text: found ? sayCount(found.count[of as 'coliforms' | 'ecoli']) : '', unit: 'per 100 mL' };
}

function Line({ one }: { one: RoundResult }) {
  const { round } = useRound();
  const { result, verdict, sample } = one;
  const [word, kind, tone] = words[verdict.state];
  const { text, unit } = one.bench === undefined ? asPrinted(result) : asCounted(round.cultures, result);
  const bottle = round.bottles.find(({ id }) => id === result.bottle);
  // Why the sample is less than a routine one is said where that weakens the number, or where it is over a value all the same.
  const because = sample === 'routine' ? [] : (bottle?.reasons ?? []).filter(({ makes }) => makes !== 'routine').map(saySample);
  const bench = one.bench === undefined ? null : benchCount(round.cultures, result.bottle);
  const report = round.reports.find(({ sha256 }) => sha256 === one.report);
  const boxed = one.bench === undefined ? recordOfBottle(round, result.bottle, one.known) : null;
  const box = boxed ? sayRecordOfBox(boxed) : '';
  return (
    <li className={verdict.state}>
      <span className="strong">
        {parameter(result.parameter).name}
        {result.fraction ? `, ${result.fraction}` : ''}
      </span>
      <span className="number">
        {text}
        {result.uncertainty !== undefined && <span className="unit">± {Number(result.uncertainty.toPrecision(2))}</span>}
        <span className="unit">{unit}</span>
      </span>
      {verdict.limit ? <LimitScale of={one} /> : <span />}
      <span className={`word tone-${tone}`}>
        <Mark kind={kind} />
        {verdict.close ? 'Meets, but close' : word}
      </span>
      <span className="small soft">
        {aboutResult(one, [...because, box])}{' '}
        {report
          ? `${round.reports.length > 1 ? `${report.name}, line` : 'Line'} ${result.line}: “${result.written.result} ${result.written.unit}”.`
          : bench
            ? `Own bench, counted ${showMoment(one.known, round.plan.zone)}. ${sayLimits(bench.count[result.parameter as 'coliforms' | 'ecoli'])} ${bench.doubts.map(sayCultureDoubt).join(' ')}`
            : `Told ${showMoment(one.known, round.plan.zone)}.`}
        {result.labLimit ? ` The lab’s own limit: ${result.labLimit}.` : ''}
      </span>
      <Others of={one} />
    </li>
  );
}

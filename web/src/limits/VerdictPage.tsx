import type { JudgedResult, SumVerdict, VerdictState } from '@fonte/core/limits';
import { parameter } from '@fonte/core/parameters';
import type { RoundVerdict, VisitVerdict } from '@fonte/core/round';
import { showNumber, unitLabel } from '@fonte/core/units';
import { Link } from 'react-router';
import { FollowUps } from '../act/FollowUps.tsx';
import { Empty } from '../app/Feedback.tsx';
import { useRound } from '../book/useRound.ts';
import { Mark, type MarkKind } from '../theme/Mark.tsx';
import { How } from '../working/Figure.tsx';
import { LimitScale } from './LimitScale.tsx';
import './verdict.css';

const words: Record<VerdictState, [string, MarkKind, string]> = {
  'over-health': ['Over a health value', 'stop', 'stop'],
  'cannot-tell': ['Cannot tell', 'open', 'open'],
  'over-indicator': ['Over an indicator value', 'question', 'question'],
  meets: ['Meets', 'good', 'good'],
  'no-value': ['No value set', 'note', 'soft'],
};

/** The verdict in one sentence, bacteria first; then each result on its own scale. */
export function VerdictPage() {
  const { id, round } = useRound();
  const { verdict } = round;
  if (!verdict)
    return (
      <Empty title="There is no verdict yet">
        <p>It follows from the report, once it is read.</p>
        <Link to={`/rounds/${id}/report`}>To the report</Link>
      </Empty>
    );
  return (
    <div className="stack-wide">
      <h1>{sentence(verdict)}</h1>
      <p className="soft">
        Against {verdict.set.name}: {verdict.set.source}, {verdict.set.edition}. Your authority may set stricter values; its word comes
        first.
      </p>
      {round.followUps.length > 0 && <FollowUps />}
      {verdict.visits.map((visit) => (
        <AtPoint key={visit.visit} verdict={visit} />
      ))}
      <Refused />
    </div>
  );
}

function sentence(verdict: RoundVerdict): string {
  const all = verdict.visits.flatMap((visit) => visit.judged);
  const germs = all.filter(({ result, verdict: one }) => parameter(result.parameter).unit === 'per100mL' && one.state !== 'meets');
  const count = (state: VerdictState) => all.filter((one) => one.verdict.state === state && !germs.includes(one)).length;
  const sums = verdict.visits.flatMap((visit) => visit.sums).filter((sum) => sum.state === 'over-health').length;
  const [over, unsure, indicator] = [count('over-health'), count('cannot-tell'), count('over-indicator')];
  const plural = (number: number, one: string, many: string) => (number === 1 ? `1 ${one}` : `${number} ${many}`);
  const parts = [
    ...new Set(
      germs.map(
        ({ result, verdict: one }) => `${parameter(result.parameter).name} ${one.state === 'cannot-tell' ? 'cannot be told' : 'found'}`,
      ),
    ),
    ...(over > 0 ? [`${plural(over, 'result is', 'results are')} over a health value`] : []),
    ...(sums > 0 && over === 0 ? ['nitrate and nitrite together are over'] : []),
    ...(unsure > 0 ? [`${plural(unsure, 'cannot', 'cannot')} be told`] : []),
    ...(indicator > 0 ? [`${plural(indicator, 'is', 'are')} over an indicator value`] : []),
  ];
  const text = parts.join(', ');
  return text === '' ? 'Every result meets its value.' : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

function AtPoint({ verdict }: { verdict: VisitVerdict }) {
  return (
    <section className="stack">
      <h2>
        {verdict.pointName}
        {verdict.sample === 'special' ? ', special sample' : ''}
      </h2>
      {verdict.use === 'monitoring' && (
        <p className="finding note small">
          <Mark kind="note" />
          <span>A monitoring well: nobody drinks this water. The values for drinking water are a comparison.</span>
        </p>
      )}
      <ul className="judged plain">
        {verdict.sums
          .filter((sum) => sum.state !== 'meets')
          .map((sum) => (
            <Sum key={sum.rule.id} sum={sum} />
          ))}
        {verdict.judged.map((one) => (
          <Line key={`${one.result.bottle} ${one.result.parameter}`} one={one} />
        ))}
        {verdict.sums
          .filter((sum) => sum.state === 'meets')
          .map((sum) => (
            <Sum key={sum.rule.id} sum={sum} />
          ))}
      </ul>
    </section>
  );
}

function Sum({ sum }: { sum: SumVerdict }) {
  const [word, kind, tone] = words[sum.state];
  return (
    <li className={sum.state}>
      <span className="strong">{sum.rule.name}</span>
      <span className="number">
        {showNumber(sum.high, 2)}
        <span className="unit">of 1</span>
      </span>
      <span />
      <span className={`word tone-${tone}`}>
        <Mark kind={kind} />
        {word}
      </span>
      <span className="small soft">
        {sum.rule.place}. <How working={sum.working} label="How it came about" />
      </span>
    </li>
  );
}

function written({ result }: JudgedResult): { text: string; unit: string } {
  const { unit, decimals } = parameter(result.parameter);
  const words: Record<string, string> = { below: 'not detected', present: 'present', absent: 'absent', uncountable: 'too many' };
  if (result.value === null) return { text: words[result.form] ?? '–', unit: '' };
  const digits = result.value !== 0 && Math.abs(result.value) < 10 ** -decimals ? decimals + 1 : decimals;
  return {
    text: `${result.form === 'below' ? '< ' : result.form === 'above' ? '> ' : ''}${showNumber(result.value, digits)}`,
    unit: unitLabel(unit),
  };
}

function Line({ one }: { one: JudgedResult }) {
  const [word, kind, tone] = words[one.verdict.state];
  const { text, unit } = written(one);
  const { limit } = one.verdict;
  return (
    <li className={one.verdict.state}>
      <span className="strong">{parameter(one.result.parameter).name}</span>
      <span className="number">
        {text}
        <span className="unit">{unit}</span>
      </span>
      {limit ? <LimitScale of={one} /> : <span />}
      <span className={`word tone-${tone}`}>
        <Mark kind={kind} />
        {one.verdict.close ? 'Meets, but close' : word}
      </span>
      <span className="small soft">
        {one.verdict.because}
        {one.verdict.state === 'over-indicator' ? ' Something to look into, not unsafe by itself.' : ''} {limit ? `${limit.place}.` : ''}{' '}
        {limit?.note ? `${limit.note}.` : ''} Line {one.result.line}: “{one.result.written.result} {one.result.written.unit}”.
      </span>
    </li>
  );
}

function Refused() {
  const { round } = useRound();
  const refused = round.bottles.filter((bottle) => bottle.lost?.how === 'refused');
  if (refused.length === 0) return null;
  return (
    <section className="stack">
      <h2>No result</h2>
      <ul>
        {refused.map((bottle) => (
          <li key={bottle.id}>
            {bottle.id}: refused, {bottle.lost!.reason}
          </li>
        ))}
      </ul>
    </section>
  );
}

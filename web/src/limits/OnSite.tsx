import { sayDoubt, sayTold } from '@fonte/core/fieldtests';
import { sayBecause, sayWeakness } from '@fonte/core/limits';
import { parameter } from '@fonte/core/parameters';
import type { SiteResult } from '@fonte/core/round';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { LimitScale } from './LimitScale.tsx';
import { verdictWords } from './verdictWords.ts';

/** A result of the point as a number, a bound or a class. */
function saySite({ result: { parameter: of, form, value }, span }: SiteResult): string {
  const number = value ?? 0;
  return sayTold(
    span
      ? { parameter: of, form: 'class', ...span }
      : { parameter: of, form: form === 'below' || form === 'above' ? form : 'value', low: number, high: number },
  );
}

/** What was measured at the point and in no lab, with kind and method: folded, unless something of it is over a value. */
export function OnSite({ of }: { of: readonly SiteResult[] }) {
  const { round } = useRound();
  const isOver = of.some(({ verdict }) => verdict.state.startsWith('over-') || verdict.state === 'cannot-tell');
  if (of.length === 0) return null;
  return (
    <details className="on-site" open={isOver}>
      <summary>Measured at the point: {of.length}</summary>
      <ul className="judged plain">
        {of.map((one) => {
          const { result, verdict } = one;
          const [word, kind, tone] = verdictWords[verdict.state];
          return (
            <li key={one.id} className={verdict.state}>
              <span className="strong">{parameter(result.parameter).name}</span>
              <span className="number">{saySite(one)}</span>
              {verdict.limit ? <LimitScale of={one} /> : <span />}
              <span className={`word tone-${tone}`}>
                <Mark kind={kind} />
                {word}
              </span>
              <span className="small soft">
                {one.by}, {showMoment(one.at, round.plan.zone)}. {one.doubts.map(sayDoubt).join(' ')}{' '}
                {verdict.weakness ? sayWeakness(verdict.weakness) : ''} {sayBecause(result.parameter, verdict.because)}{' '}
                {verdict.limit ? `${verdict.limit.place}.` : ''}
              </span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}

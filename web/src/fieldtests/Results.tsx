import { combinedChlorine, method, sayDoubt, sayTold, testRead } from '@fonte/core/fieldtests';
import type { VisitState } from '@fonte/core/round';
import { showNumber } from '@fonte/core/units';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { Mark } from '../theme/Mark.tsx';
import { showTime } from '../time/show.ts';

/** What the tests of this point told, the last first, with what may be doubted of each. */
export function Results({ visit }: { visit: VisitState }) {
  const { round } = useRound();
  const made = visit.tests.filter(({ readAt, dropped }) => readAt !== null || dropped !== null).toReversed();
  const combined = combinedChlorine(visit.tests);
  if (made.length === 0) return null;
  const shown = (value: number) => showNumber(value, 2);
  return (
    <section className="stack">
      <h2>Measured here</h2>
      <ul className="plain tests-made">
        {combined && (
          <li>
            <span className="figure">
              <span className="soft small">Combined chlorine, total − free</span>
              <span className="value">
                {combined.low === combined.high ? shown(combined.low) : `${shown(combined.low)} to ${shown(combined.high)}`} mg/L
              </span>
            </span>
          </li>
        )}
        {made.map((test) => (
          <li key={test.id}>
            <span className="figure">
              <span className="soft small">
                {method(test.method).name}, {test.readAt === null ? '' : showTime(test.readAt, round.plan.zone)}
                {test.instrument ? `, ${test.instrument}` : ''}
                {test.lot ? `, lot ${test.lot.lot}` : ''}
              </span>
              <span className="value">{test.told ? sayTold(test.told) : 'Given up'}</span>
            </span>
            {test.saturation !== null && <span className="small">{Math.round(test.saturation * 100)} % of what air gives.</span>}
            {test.dropped !== null && <span className="small">{test.dropped}</span>}
            {test.kept !== null && <span className="small soft">Kept: {test.kept}</span>}
            {test.doubts.map((doubt) => (
              <span key={doubt.code} className="word tone-question">
                <Mark kind="question" size={15} />
                {sayDoubt(doubt)}
              </span>
            ))}
            {test.entry && <Correct entry={test.entry} kind={testRead} what={method(test.method).name} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

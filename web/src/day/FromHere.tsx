import { fromHere, sayFault, usualSettings } from '@fonte/core/day';
import { isBegun, nextAtVisit, type VisitState } from '@fonte/core/round';
import { minute, wallTime } from '@fonte/core/time';
import { Link } from 'react-router';
import { useRound } from '../book/useRound.ts';
import { useSession } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { useNow } from '../time/useNow.ts';
import { useDayOf } from './useDayOf.ts';
import { showNear } from '../time/show.ts';

/** So near to the latest moment (ms) it is said louder. */
const soon = 20 * minute;

/** Until when the work here may begin, from the lab's door: said before anything is opened, on the day itself. */
export function FromHere({ visit }: { visit: VisitState }) {
  // Whoever has one kit at home drives nowhere.
  return useSession().me.scope ? null : <OnTheWay visit={visit} />;
}

function OnTheWay({ visit }: { visit: VisitState }) {
  const { id, round } = useRound();
  const now = Math.floor(useNow(15_000) / minute) * minute;
  const of = useDayOf();
  const { zone, date, lab } = round.plan;
  if (!of || !lab || round.givenUp || isBegun(visit) || wallTime(now, zone).date !== date) return null;
  const after = round.visits.filter((one) => one.id !== visit.id && nextAtVisit(one) !== null).map((one) => one.id);
  const deadlines = round.bottles.flatMap(({ stage, holding, lost }) => (stage === 'filled' && holding && !lost ? [holding.deadline] : []));
  const { latest, faults, problem } = fromHere(of, round.day ?? usualSettings, { here: visit.id, after, deadlines, now });
  const day = <Link to={`/rounds/${id}/day`}>The day</Link>;
  if (latest === null)
    return (
      <div className="finding stop" role="alert">
        <Mark kind="stop" />
        {faults.map((fault) => (
          <p key={JSON.stringify(fault)}>{sayFault(fault, problem, zone)}</p>
        ))}
        <p>{day}</p>
      </div>
    );
  return (
    <p className={latest - now <= soon ? 'strong tone-question' : 'soft'}>
      Begin here at the latest {showNear(latest, now, zone)}. {day}
    </p>
  );
}

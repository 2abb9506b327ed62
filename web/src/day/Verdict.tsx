import { mostExact, sayFault, type DayOf, type DayTold, type Proposal } from '@fonte/core/day';
import { showDate, showMinutes, wallTime } from '@fonte/core/time';
import { Mark } from '../theme/Mark.tsx';
import { useNow } from '../time/useNow.ts';

/** The day in one sentence. */
export function Verdict({ told, of, isOwn }: { told: DayTold; of: DayOf; isOwn: boolean }) {
  const { day, faults, latestStart, problem } = told;
  // Of many stops not every order was weighed: that none was found proves nothing.
  const cannot = isOwn
    ? 'It cannot be done in this order'
    : problem.stops.length <= mostExact
      ? 'This day cannot be done'
      : 'No order was found that can be done';
  const time = (moment: number) => wallTime(moment, of.zone).time;
  const where =
    !of.lab || told.works.every(({ bottles }) => bottles.length === 0)
      ? 'Back'
      : problem.reaches === undefined
        ? 'At the lab'
        : 'Left for the lab';
  const now = useNow(30_000);
  const isUnderWay = wallTime(now, of.zone).date === of.date && now > day.leaves;
  return (
    <header className="stack">
      <p className="soft">{showDate(of.date)}</p>
      <h1 className={`word ${faults.length > 0 ? 'tone-stop' : ''}`}>
        {faults.length > 0 && <Mark kind="stop" />}
        {faults.length > 0 ? cannot : `${where} at ${time(day.handOver)}`}
      </h1>
      {faults.length > 0 ? (
        <ul className="day-faults">
          {faults.map((fault) => (
            <li key={JSON.stringify(fault)}>{sayFault(fault, problem, of.zone)}</li>
          ))}
        </ul>
      ) : (
        <p>
          Set out at {time(day.leaves)}
          {latestStart !== null && latestStart > day.leaves ? `, at the latest at ${time(latestStart)}` : ''}.
          {problem.reaches === undefined
            ? ''
            : ` The lab has it on ${showDate(wallTime(problem.reaches, of.zone).date)} at ${time(problem.reaches)}.`}
        </p>
      )}
      {isUnderWay && (
        <p className={latestStart !== null && now > latestStart ? 'strong tone-question' : 'soft'}>
          It is {time(now)}
          {latestStart !== null && now > latestStart ? ', too late to set out' : ''}. Every point says until when its work may begin.
        </p>
      )}
    </header>
  );
}

/** How far the proposed day is from the best. */
export function sayBest({ isBest, day, bound }: Proposal): string {
  if (isBest) return 'No order is at the lab earlier: all were weighed.';
  const apart = bound === null ? null : day.handOver - bound;
  return apart === null
    ? 'A good order was sought; that none is earlier is not proven.'
    : `No order is at the lab more than ${showMinutes(apart)} earlier.`;
}

/** An order of one’s own beside the proposed one. */
export function compare(own: DayTold, proposal: Proposal, zone: string): string {
  if (proposal.faults.length > 0) return 'This is your order. No order was found that can be done.';
  const later = own.day.handOver - proposal.day.handOver;
  const at = wallTime(proposal.day.handOver, zone).time;
  return own.faults.length > 0 || later > 0
    ? `This is your order. The proposed one is at the lab at ${at}${own.faults.length > 0 ? '' : `, ${showMinutes(later)} earlier`}.`
    : 'This is your order. It is at the lab as early as the proposed one.';
}

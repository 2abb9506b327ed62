import { sayTask, type FollowUp } from '@fonte/core/act';
import { Link } from 'react-router';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { useNow } from '../time/useNow.ts';
import { roomPath } from '../visit/paths.ts';
import type { Agenda } from './agenda.ts';

/** What is overdue while people may be drinking the water. */
const isUrgent = ({ isHealth, due }: FollowUp, time: number): boolean => isHealth && due < time;

/** One follow-up with its point and its time, and the way to it. */
function Action({ round, action, now, isStrong = false }: { round: string; action: FollowUp; now: number; isStrong?: boolean }) {
  const { do: what, because } = sayTask(action.task);
  return (
    <Link className="tile due" to={`${roomPath(round, 'verdict', null)}#follow-up`}>
      <span>
        {isStrong ? <span className="strong">{what}</span> : what}
        <br />
        <span className="soft small">
          {action.pointName}: {because}
        </span>
      </span>
      <Deadline at={action.due} now={now} />
    </Link>
  );
}

/** What people may be drinking comes before any round: late follow-ups on health, first. */
export function Overdue({ actions: { first } }: { actions: Agenda<FollowUp> }) {
  const time = useNow(10_000);
  const late = first.filter(({ item }) => isUrgent(item, time));
  if (late.length === 0) return null;
  return (
    <section className="today-late stack" aria-labelledby="late">
      <h1 id="late" className="word tone-stop">
        <Mark kind="stop" />
        {late.length === 1 ? 'Overdue, and people drink this water' : `${late.length} things are overdue, and people drink this water`}
      </h1>
      {late.map(({ round, item: action }) => (
        <Action key={`${round} ${action.id}`} round={round} action={action} now={time} isStrong />
      ))}
    </section>
  );
}

/** Follow-ups that are open, the soonest first. */
export function Due({ actions: { count, first } }: { actions: Agenda<FollowUp> }) {
  const time = useNow(10_000);
  // What leads the page already stands there once.
  const rest = first.filter(({ item }) => !isUrgent(item, time));
  if (rest.length === 0) return null;
  return (
    <section className="stack">
      <h2>To do</h2>
      {rest.map(({ round, item: action }) => (
        <Action key={`${round} ${action.id}`} round={round} action={action} now={time} />
      ))}
      {count > first.length && <p className="soft">and {count - first.length} more, due later</p>}
    </section>
  );
}

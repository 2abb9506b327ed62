import { sayTask, type FollowUp } from '@fonte/core/act';
import { sayNext, today, type RoundLine, type VisitClock, type BottleInCooler } from '@fonte/core/round';
import { isSameParty, partyKind } from '@fonte/core/custody';
import { wallTime, showDate, showDuration } from '@fonte/core/time';
import { Button } from 'antd';
import { Link, Navigate, useNavigate } from 'react-router';
import { askAhead, useAnswer } from '../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { later } from '../feedback/later.tsx';
import { roomPath, stepPath } from '../visit/paths.ts';
import { MiniStream } from '../round/index.ts';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { Countdown, Deadline } from '../time/Countdown.tsx';
import { roundPlanned } from '@fonte/core/plan';
import { useMe, useSession } from '../session/session.ts';
import { May } from '../session/May.tsx';
import './today.css';

/** What coordinators have to know of the house, and anybody of their way in: the work stands before it. */
const House = later(
  async () => (await import('../access/index.ts')).House,
  () => null,
);

type Agenda<T> = { count: number; first: { round: string; item: T }[] };

/** Asks for the first page before anything is drawn. */
export const askToday = (): void => askAhead(today, {});

/** What is next and where; every running clock; bottles whose time is short; what is due. Nothing else. */
export function TodayPage() {
  const { scope } = useSession().me;
  return scope ? <Navigate to={`/rounds/${scope.round}`} replace /> : <AllRounds />;
}

function AllRounds() {
  const { data, error, mutate } = useAnswer(today, {}, { refreshInterval: 5000 });
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="today’s work" />;
  const { rounds: open } = data;
  if (open.length === 0) {
    return (
      <div className="stack-wide">
        <Empty title="No round is under way">
          <p>A round is a list of points with what is to be measured and sampled at each.</p>
          <May do={roundPlanned}>
            <Link to="/rounds/new">Plan a round</Link>
          </May>
        </Empty>
        <House />
      </div>
    );
  }
  const [first, ...others] = open;
  return (
    <div className="today">
      <Overdue actions={data.actions} />
      <NextUp round={first!} />
      <div className="today-side stack-wide">
        <Running clocks={data.clocks} />
        <Due actions={data.actions} />
        <Waiting bottles={data.bottles} />
        <WithOthers rounds={open} />
        {others.length > 0 && <Others rounds={others} />}
        <House />
        <p>
          <Link to="/ready">Ready to go without signal?</Link>
        </p>
      </div>
      <section className="today-stream" aria-label={`Bottles of ${first!.name}`}>
        <MiniStream stages={first!.overview.stages} />
      </section>
    </div>
  );
}

/** What people may be drinking comes before any round: late follow-ups on health, first. */
function Overdue({ actions: { first } }: { actions: Agenda<FollowUp> }) {
  const time = useNow(10_000);
  const late = first.filter(({ item }) => item.isHealth && item.due < time);
  if (late.length === 0) return null;
  return (
    <section className="today-late stack" aria-labelledby="late">
      <h1 id="late" className="word tone-stop">
        <Mark kind="stop" />
        {late.length === 1 ? 'Overdue, and people drink this water' : `${late.length} things are overdue, and people drink this water`}
      </h1>
      {late.map(({ round, item: action }) => (
        <Link key={`${round} ${action.id}`} className="tile due" to={`${roomPath(round, 'verdict', null)}#follow-up`}>
          <span>
            <span className="strong">{sayTask(action.task).do}</span>
            <br />
            <span className="soft small">
              {action.pointName}: {sayTask(action.task).because}
            </span>
          </span>
          <Deadline at={action.due} now={time} />
        </Link>
      ))}
    </section>
  );
}

function NextUp({ round }: { round: RoundLine }) {
  const navigate = useNavigate();
  const { overview } = round;
  const next = overview.next;
  const time = useNow(10_000);
  const isToday = wallTime(time, overview.zone).date === round.date;
  return (
    <section className="next-up" aria-labelledby="next-up">
      <p className="soft">{showMoment(time, overview.zone)}</p>
      <p className="soft">
        {overview.name}, {overview.code}
        {isToday ? '' : `, ${sayPlanned(round, time)}`}
      </p>
      <h1 id="next-up">{next ? sayNext(next) : 'All done'}</h1>
      <p className="next-where">{overview.nextPoint ?? overview.points.map((point) => point.name).join(' and ')}</p>
      {next && (
        <Button type="primary" size="large" onClick={() => void navigate(stepPath(round.id, next))}>
          Go on
        </Button>
      )}
      <Link to={`/rounds/${round.id}`}>The whole round</Link>
    </section>
  );
}

function Running({ clocks: { count, first } }: { clocks: Agenda<VisitClock> }) {
  const time = useNow();
  if (count === 0) return null;
  return (
    <section className="stack">
      <h2 className="word tone-live">
        <Mark kind="live" />
        Running
      </h2>
      {first.map(({ round, item: clock }) => (
        <Link
          key={`${clock.visit} ${clock.procedure}`}
          className="tile live"
          to={roomPath(round, clock.room, clock.visit, clock.procedure ?? undefined)}
        >
          <span>
            {clock.say}
            <br />
            <span className="soft small">{clock.pointName}</span>
          </span>
          <Countdown from={clock.from} least={clock.least} most={clock.most} now={time} />
        </Link>
      ))}
    </section>
  );
}

function Due({ actions: { count, first } }: { actions: Agenda<FollowUp> }) {
  const time = useNow(10_000);
  if (count === 0) return null;
  return (
    <section className="stack">
      <h2>To do</h2>
      {first.map(({ round, item: action }) => (
        <Link key={`${round} ${action.id}`} className="tile due" to={`${roomPath(round, 'verdict', null)}#follow-up`}>
          <span>
            {sayTask(action.task).do}
            <br />
            <span className="soft small">
              {action.pointName}: {sayTask(action.task).because}
            </span>
          </span>
          <Deadline at={action.due} now={time} />
        </Link>
      ))}
      {count > first.length && <p className="soft">and {count - first.length} more, due later</p>}
    </section>
  );
}

/** So many bottles are listed: those whose time ends first. */
const shortest = 3;

function Waiting({ bottles }: { bottles: Agenda<BottleInCooler> }) {
  const me = useMe();
  const time = useNow(10_000);
  // What a colleague has is not in this cooler: it is listed with others.
  const first = bottles.first.filter(({ item }) => !item.holder || isSameParty(item.holder, { as: 'person', name: me.name }));
  const count = bottles.count - (bottles.first.length - first.length);
  if (first.length === 0) return null;
  return (
    <section className="stack">
      <h2>Bottles in the cooler</h2>
      {first.slice(0, shortest).map(({ round, item: bottle }) => (
        <Link key={bottle.bottle} className="tile" to={roomPath(round, 'custody', null)}>
          <span>
            {bottle.bottle}
            <br />
            <span className="soft small">{bottle.pointName}</span>
          </span>
          {bottle.handOverBy === null ? (
            <span className="word tone-stop">
              <Mark kind="stop" size={15} />
              Cannot reach the lab in time
            </span>
          ) : (
            <Deadline at={bottle.handOverBy} now={time} />
          )}
        </Link>
      ))}
      {count > shortest && <p className="soft">and {count - shortest} more with longer time</p>}
    </section>
  );
}

/** What couriers, colleagues, households and locked places have: what must be at its lab first leads, so that nothing is forgotten over night. */
function WithOthers({ rounds }: { rounds: readonly RoundLine[] }) {
  const me = useMe();
  const time = useNow(30_000);
  const held = rounds
    .flatMap(({ id, overview }) => overview.held.map((one) => ({ ...one, round: id, code: overview.code })))
    // What one has oneself is in the cooler.
    .filter((one) => !isSameParty(one, { as: 'person', name: me.name }))
    .sort((a, b) => (a.deadline ?? Infinity) - (b.deadline ?? Infinity) || a.since - b.since);
  if (held.length === 0) return null;
  return (
    <section className="stack" aria-label="With others">
      <h2>With others</h2>
      {held.slice(0, shortest).map(({ round, code, name, as, count, since, deadline }) => (
        <Link key={`${round} ${as} ${name}`} className="tile" to={roomPath(round, 'custody', null)}>
          <span>
            {count === 1 ? '1 bottle' : `${count} bottles`} with {name}
            <br />
            <span className="soft small">
              {partyKind(as).name}, {code}, for {showDuration(time - since)}
              {deadline !== null && deadline < time ? '. Past the holding time' : ''}
            </span>
          </span>
          {deadline !== null && <Deadline at={deadline} now={time} />}
        </Link>
      ))}
      {held.length > shortest && <p className="soft">and {held.length - shortest} more</p>}
    </section>
  );
}

/** When a round is or was to be, and that nobody has begun one of days ago. */
function sayPlanned({ date, overview: { zone, isBegun } }: RoundLine, time: number): string {
  const today = wallTime(time, zone).date;
  if (date === today) return 'today';
  const planned = `planned for ${showDate(date)}`;
  return date < today && !isBegun ? `${planned}, not begun` : planned;
}

function Others({ rounds }: { rounds: RoundLine[] }) {
  const time = useNow(60_000);
  return (
    <section className="stack">
      <h2>Also open</h2>
      {rounds.map((round) => (
        <Link key={round.id} className="tile" to={round.overview.next ? stepPath(round.id, round.overview.next) : `/rounds/${round.id}`}>
          <span>
            {round.overview.next ? sayNext(round.overview.next) : 'All done'}
            <br />
            <span className="soft small">
              {round.name}, {round.code}, {sayPlanned(round, time)}
            </span>
          </span>
          <Mark kind="note" />
        </Link>
      ))}
    </section>
  );
}

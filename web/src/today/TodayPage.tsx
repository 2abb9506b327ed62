import { sayNext, today, type RoundLine, type VisitClock } from '@fonte/core/round';
import { wallTime } from '@fonte/core/time';
import { Button } from 'antd';
import { Link, Navigate, useNavigate } from 'react-router';
import { askAhead, useAnswer } from '../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { House } from '../access/index.ts';
import { roomPath, stepPath } from '../visit/paths.ts';
import { MiniStream } from '../round/index.ts';
import { Mark } from '../theme/Mark.tsx';
import { showMoment } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { Countdown } from '../time/Countdown.tsx';
import { roundPlanned } from '@fonte/core/plan';
import { useMe, useSession } from '../session/session.ts';
import { May } from '../session/May.tsx';
import { Due, Overdue } from './Actions.tsx';
import type { Agenda } from './agenda.ts';
import { Waiting, WithOthers } from './Bottles.tsx';
import { CourierToday } from './CourierToday.tsx';
import { sayPlanned } from './planned.ts';
import { Expected } from './Expected.tsx';
import { ReaderToday } from './ReaderToday.tsx';
import './today.css';

/** Asks for the first page before anything is drawn. */
export const askToday = (): void => askAhead(today, {});

/** What is next and where; every running clock; bottles whose time is short; what is due. Nothing else. */
export function TodayPage() {
  const { scope } = useSession().me;
  return scope ? <Navigate to={`/rounds/${scope.round}`} replace /> : <AllRounds />;
}

function AllRounds() {
  const { role } = useMe();
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
  // What one may not do is not what one is led to.
  if (role === 'courier') return <CourierToday rounds={open} />;
  if (role === 'reader') return <ReaderToday today={data} />;
  const [first, ...others] = open;
  return (
    <div className="today">
      <Overdue actions={data.actions} />
      <NextUp round={first!} />
      <div className="today-side stack-wide">
        <Running clocks={data.clocks} />
        <Due actions={data.actions} />
        <Expected results={data.results} />
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

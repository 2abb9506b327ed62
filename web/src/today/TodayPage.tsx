import type { RoundOverview } from '@fonte/core/round';
import { Button } from 'antd';
import { useNavigate, Link } from 'react-router';
import useSWR from 'swr';
import { Empty, Failed, Loading } from '../app/Feedback.tsx';
import { roomPath } from '../round/paths.ts';
import { MiniStream } from '../round/MiniStream.tsx';
import { Mark } from '../theme/Mark.tsx';
import { useNow } from '../time/useNow.ts';
import { Countdown, Deadline } from '../time/Countdown.tsx';
import './today.css';

export interface RoundLine {
  id: string;
  code: string;
  name: string;
  date: string;
  closed: boolean;
  overview?: RoundOverview;
}
type OpenRound = RoundLine & { overview: RoundOverview };

/** What is next and where; every running clock; bottles whose time is short; what is due. Nothing else. */
export function TodayPage() {
  const { data, error, mutate } = useSWR<RoundLine[]>('/api/rounds', { refreshInterval: 5000 });
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="today’s work" />;
  const open = data.filter((round): round is OpenRound => round.overview !== undefined);
  if (open.length === 0) {
    return (
      <Empty title="No round is under way">
        <p>A round is a list of points with what is to be measured and sampled at each.</p>
        <Link to="/rounds/new">Plan a round</Link>
      </Empty>
    );
  }
  const [first, ...others] = open;
  return (
    <div className="today">
      <NextUp round={first!} />
      <div className="today-side stack-wide">
        <Running rounds={open} />
        <Due rounds={open} />
        <Waiting rounds={open} />
        {others.length > 0 && <Others rounds={others} />}
      </div>
      <section className="today-stream" aria-label={`Bottles of ${first!.name}`}>
        <MiniStream stages={first!.overview.stages} />
      </section>
    </div>
  );
}

function NextUp({ round }: { round: OpenRound }) {
  const navigate = useNavigate();
  const { overview } = round;
  const next = overview.next;
  return (
    <section className="next-up" aria-labelledby="next-up">
      <p className="soft">
        {overview.name}, {overview.code}
      </p>
      <h1 id="next-up">{next?.say ?? 'All done'}</h1>
      <p className="next-where">{overview.nextPoint ?? overview.points.map((point) => point.name).join(' and ')}</p>
      {next && (
        <Button type="primary" size="large" onClick={() => void navigate(roomPath(round.id, next.room, next.visit))}>
          Go on
        </Button>
      )}
      <Link to={`/rounds/${round.id}`}>The whole round</Link>
    </section>
  );
}

function Running({ rounds }: { rounds: OpenRound[] }) {
  const time = useNow();
  const clocks = rounds.flatMap((round) => round.overview.clocks.map((clock) => ({ round, clock })));
  if (clocks.length === 0) return null;
  return (
    <section className="stack">
      <h2 className="word tone-live">
        <Mark kind="live" />
        Running
      </h2>
      {clocks.map(({ round, clock }) => (
        <Link key={clock.visit} className="tile live" to={roomPath(round.id, 'tap', clock.visit)}>
          <span>
            {clock.say}
            <br />
            <span className="soft small">{clock.pointName}</span>
          </span>
          <Countdown from={clock.from} least={clock.least} now={time} />
        </Link>
      ))}
    </section>
  );
}

function Due({ rounds }: { rounds: OpenRound[] }) {
  const time = useNow(10_000);
  const due = rounds
    .flatMap((round) => round.overview.followUps.map((action) => ({ round, action })))
    .sort((a, b) => a.action.due - b.action.due);
  if (due.length === 0) return null;
  return (
    <section className="stack">
      <h2>To do</h2>
      {due.map(({ round, action }) => (
        <Link key={action.id} className="tile due" to={`${roomPath(round.id, 'verdict', null)}#follow-up`}>
          <span>
            {action.do}
            <br />
            <span className="soft small">
              {action.pointName}: {action.because}
            </span>
          </span>
          <Deadline at={action.due} now={time} />
        </Link>
      ))}
    </section>
  );
}

/** So many bottles are listed: those whose time ends first. */
const shortest = 3;

function Waiting({ rounds }: { rounds: OpenRound[] }) {
  const time = useNow(10_000);
  const waiting = rounds
    .flatMap((round) => round.overview.waiting.map((bottle) => ({ round, bottle })))
    .sort((a, b) => a.bottle.deadline - b.bottle.deadline);
  if (waiting.length === 0) return null;
  return (
    <section className="stack">
      <h2>Bottles in the cooler</h2>
      {waiting.slice(0, shortest).map(({ round, bottle }) => (
        <Link key={bottle.bottle} className="tile" to={roomPath(round.id, 'custody', null)}>
          <span>
            {bottle.bottle}
            <br />
            <span className="soft small">{bottle.pointName}</span>
          </span>
          <Deadline at={bottle.deadline} now={time} />
        </Link>
      ))}
      {waiting.length > shortest && <p className="soft">and {waiting.length - shortest} more with longer time</p>}
    </section>
  );
}

function Others({ rounds }: { rounds: OpenRound[] }) {
  return (
    <section className="stack">
      <h2>Also open</h2>
      {rounds.map((round) => (
        <Link
          key={round.id}
          className="tile"
          to={round.overview.next ? roomPath(round.id, round.overview.next.room, round.overview.next.visit) : `/rounds/${round.id}`}
        >
          <span>
            {round.overview.next?.say}
            <br />
            <span className="soft small">
              {round.name}, {round.code}
            </span>
          </span>
          <Mark kind="note" />
        </Link>
      ))}
    </section>
  );
}

import { sayNext, type RoundLine, type Today } from '@fonte/core/round';
import { Link } from 'react-router';
import { MiniStream } from '../round/index.ts';
import { useNow } from '../time/useNow.ts';
import { roomPath } from '../visit/paths.ts';
import { Due, Overdue } from './Actions.tsx';
import { sayPlanned } from './planned.ts';

/** Where each open round stands, and what is due of it: for whoever reads and writes nothing. */
export function ReaderToday({ today: { rounds, actions } }: { today: Today }) {
  const time = useNow(60_000);
  return (
    <div className="stack-wide">
      <Overdue actions={actions} />
      <h1>{rounds.length === 1 ? '1 round is open' : `${rounds.length} rounds are open`}</h1>
      {rounds.map((round) => (
        <OfRound key={round.id} round={round} time={time} />
      ))}
      <Due actions={actions} />
    </div>
  );
}

function OfRound({ round, time }: { round: RoundLine; time: number }) {
  const { id, name, code, overview } = round;
  const { next, nextPoint } = overview;
  return (
    <section className="panel stack" aria-label={`${name}, ${code}`}>
      <div className="row between">
        <h2>{name}</h2>
        <span className="soft">
          {code}, {sayPlanned(round, time)}
        </span>
      </div>
      <p>{next ? `Next: ${sayNext(next)}${nextPoint ? `, ${nextPoint}` : ''}` : 'All done'}</p>
      <MiniStream stages={overview.stages} />
      <p className="row">
        <Link to={`/rounds/${id}`}>The round</Link>
        <Link to={roomPath(id, 'verdict', null)}>Verdict</Link>
        <Link to={`/rounds/${id}/book`}>Field book</Link>
      </p>
    </section>
  );
}

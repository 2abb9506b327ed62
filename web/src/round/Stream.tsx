import { purpose, stages, type Stage } from '@fonte/core/bottles';
import { nextAtVisit, sayNext, type BottleState, type RoundState, type StepRoom, type VisitState, stageNames } from '@fonte/core/round';
import { showDuration } from '@fonte/core/time';
import { Fragment } from 'react';
import { Link, NavLink } from 'react-router';
import { useNow } from '../time/useNow.ts';
import { roomPath, stepPath } from '../visit/paths.ts';
import './stream.css';

const roomOf: Partial<Record<Stage, StepRoom>> = { planned: 'plan', 'handed-over': 'custody', reported: 'report', judged: 'verdict' };

function describe(bottle: BottleState, now: number): string {
  const what = bottle.purpose === 'sample' ? '' : `, ${purpose(bottle.purpose).name.toLowerCase()}`;
  const name = `${bottle.id}, ${bottle.card.name}${what}`;
  if (bottle.lost) return `${name}: ${bottle.lost.how}, ${bottle.lost.reason}`;
  const left =
    bottle.holding && bottle.stage === 'filled'
      ? `, ${bottle.holding.deadline > now ? `${showDuration(bottle.holding.deadline - now)} left` : 'holding time over'}`
      : '';
  return `${name}: ${stageNames[bottle.stage].toLowerCase()}${left}`;
}

interface LineProps {
  visit: VisitState;
  round: string;
  now: number;
  /** The round was abandoned: nothing is asked for at its points. */
  isAbandoned: boolean;
}

function VisitLine({ visit, round, now, isAbandoned }: LineProps) {
  const next = isAbandoned ? null : nextAtVisit(visit);
  const isEmpty = visit.bottles.every(({ filledAt }) => filledAt === null);
  // Once its bottles were fetched, they are where the round says.
  const isWithHousehold = visit.household !== null && (isEmpty || visit.bottles.some(({ holder }) => holder?.party.as === 'household'));
  const going = visit.bottles.filter((bottle) => !bottle.lost);
  const front = Math.max(0, ...going.map((bottle) => stages.indexOf(bottle.stage)));
  const home: StepRoom = visit.point.type === 'well' ? 'level' : visit.due.length > 0 ? 'tap' : 'fill';
  const abandoned = visit.runs.find((run) => run.abandoned);
  return (
    <Fragment>
      <div className="stream-point">
        <Link to={next && next.room !== 'plan' ? stepPath(round, next) : roomPath(round, home, visit.id)}>{visit.name}</Link>
        <span className="small soft">
          {isWithHousehold
            ? `With ${visit.household}`
            : isAbandoned && isEmpty && visit.bottles.length > 0
              ? 'Not sampled'
              : abandoned && !next
                ? 'Abandoned: take the alternative tap'
                : next
                  ? sayNext(next)
                  : visit.bottles.length > 0
                    ? 'Done here'
                    : 'Level taken'}
        </span>
      </div>
      {stages.map((stage, index) => (
        <div key={stage} className={`stream-cell${index < front ? ' passed' : index === front && front > 0 ? ' front' : ''}`}>
          {visit.bottles
            .filter((bottle) => bottle.stage === stage)
            .map((bottle) => {
              const full = bottle.filledAt !== null && !bottle.lost;
              return (
                <span
                  key={bottle.id}
                  role="img"
                  className={`bottle-mark${full ? ' full' : ''}${bottle.lost ? ' lost' : ''}`}
                  title={describe(bottle, now)}
                  aria-label={describe(bottle, now)}
                >
                  {bottle.card.letter}
                  {purpose(bottle.purpose).mark.charAt(0).toLowerCase()}
                </span>
              );
            })}
        </div>
      ))}
    </Fragment>
  );
}

/** What the letters on the bottles mean. */
function Legend({ bottles }: { bottles: readonly BottleState[] }) {
  const cards = new Map(bottles.map(({ card: { letter, name } }) => [letter, name]));
  const extras = new Map(
    bottles.flatMap(({ purpose: id }) => (id === 'sample' ? [] : [[purpose(id).mark.charAt(0).toLowerCase(), purpose(id).name]])),
  );
  if (cards.size === 0) return null;
  return (
    <ul className="plain stream-legend small soft" aria-label="Letters on the bottles">
      {[...cards, ...extras].map(([letter, name]) => (
        <li key={letter}>
          <span className="strong">{letter}</span> {name}
        </li>
      ))}
    </ul>
  );
}

/** The round as a stream: each point a line, its bottles as marks on the way from plan to verdict. */
export function Stream({ id, round }: { id: string; round: RoundState }) {
  const now = useNow(30_000);
  return (
    <nav className="stream" aria-label="The round, stage by stage">
      <div className="stream-grid">
        <div className="stream-point" style={{ border: 0, padding: 0 }} />
        {stages.map((stage) => {
          const room = roomOf[stage];
          return room ? (
            <NavLink key={stage} end className="stream-head" to={roomPath(id, room, null)}>
              {stageNames[stage]}
            </NavLink>
          ) : (
            <span key={stage} className="stream-head">
              {stageNames[stage]}
            </span>
          );
        })}
        {round.visits.map((visit) => (
          <VisitLine key={visit.id} visit={visit} round={id} now={now} isAbandoned={round.givenUp !== null} />
        ))}
      </div>
      <Legend bottles={round.bottles} />
    </nav>
  );
}

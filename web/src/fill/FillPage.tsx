import { purpose } from '@fonte/core/bottles';
import { bottleFilled } from '@fonte/core/fill';
import { fillGate, runThatFills, stages, type BottleState, type VisitState } from '@fonte/core/round';
import { isOver } from '@fonte/core/tap';
import { Link } from 'react-router';
import { Empty } from '../app/Feedback.tsx';
import { Correct } from '../book/Correct.tsx';
import { useRound } from '../book/useRound.ts';
import { roomPath } from '../round/paths.ts';
import { atVisit } from '../round/useVisit.tsx';
import { VisitHead } from '../round/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { showTime } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';
import { Discard, FillNow } from './FillNow.tsx';

const isBlank = (bottle: BottleState) => !purpose(bottle.purpose).isWater;

/** Bottles in their order; one card at a time. */
function FillAt({ visit }: { visit: VisitState }) {
  const { id } = useRound();
  const empty = visit.bottles.filter((bottle) => bottle.state === 'empty');
  const next = empty.find((bottle) => fillGate(visit, bottle)?.code !== 'not-at-filling');
  const first = empty.map((bottle) => runThatFills(visit, bottle)).find((by) => by && !(by.run && isOver(by.run)));
  return (
    <div className="stack-wide">
      <VisitHead visit={visit} />
      {visit.purge && !visit.purge.ended && !(next && isBlank(next)) && (
        <Empty title="The purge comes first">
          <p>Bottles are filled once it has ended and the flow cell is off.</p>
          <Link to={roomPath(id, 'purge', visit.id)}>To the purge</Link>
        </Empty>
      )}
      {first && !(next && isBlank(next)) && (
        <Empty title="The protocol comes first">
          <p>Its bottle is filled at a step of “{first.protocol.title}”.</p>
          <Link to={roomPath(id, 'tap', visit.id, first.procedure)}>To the protocol</Link>
        </Empty>
      )}
      {next && (isBlank(next) || ((!visit.purge || visit.purge.ended) && !first)) && <FillNow key={next.id} bottle={next} />}
      {empty.length === 0 && visit.bottles.length > 0 && (
        <p className="word tone-good" style={{ fontSize: 26 }}>
          <Mark kind="good" size={26} />
          All bottles here are full
        </p>
      )}
      {visit.bottles.length === 0 && (
        <Empty title="No bottle is planned here">
          <Link to={`/rounds/${id}`}>Choose analyses</Link>
        </Empty>
      )}
      <Bottles visit={visit} />
    </div>
  );
}

export function Bottles({ visit }: { visit: VisitState }) {
  const { round } = useRound();
  const now = useNow(15_000);
  if (visit.bottles.length === 0) return null;
  return (
    <section className="stack">
      <h2>Bottles at this point</h2>
      <ul className="bottle-list plain">
        {visit.bottles.map((bottle) => {
          const [kind, word] = bottle.lost
            ? (['stop', bottle.lost.how === 'refused' ? 'Refused' : 'Thrown away'] as const)
            : bottle.state === 'filled'
              ? (['good', 'Filled'] as const)
              : (['note', 'Empty'] as const);
          const open = !bottle.lost && stages.indexOf(bottle.stage) < stages.indexOf('handed-over');
          return (
            <li key={bottle.id}>
              <span className={`word tone-${kind}`}>
                <Mark kind={kind} />
                {word}
              </span>
              <span>
                <span className="strong">{bottle.lost ? <s>{bottle.id}</s> : bottle.id}</span> {bottle.card.name}
                {bottle.purpose === 'sample' ? '' : `, ${purpose(bottle.purpose).name.toLowerCase()}`}
                <span className="small soft">
                  {bottle.filledAt !== null ? `, ${showTime(bottle.filledAt, round.plan.zone)}` : ''}
                  {bottle.lost ? `: ${bottle.lost.reason}` : ''}
                </span>
              </span>
              <span>
                {bottle.stage === 'filled' && bottle.holding && !bottle.lost && <Deadline at={bottle.holding.deadline} now={now} />}
              </span>
              <span className="row">
                {bottle.state === 'filled' && bottle.entry && <Correct entry={bottle.entry} kind={bottleFilled} what={bottle.id} />}
                {open && bottle.state === 'filled' && <Discard bottle={bottle} />}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

export const FillPage = atVisit(FillAt);

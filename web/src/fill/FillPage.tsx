import { purpose } from '@fonte/core/bottles';
import { fillGate, type BottleState, type VisitState } from '@fonte/core/round';
import { isOver, runThatFills } from '@fonte/core/tap';
import { Link } from 'react-router';
import { Empty } from '../feedback/Feedback.tsx';
import { useRound } from '../book/useRound.ts';
import { roomPath } from '../visit/paths.ts';
import { atVisit } from '../visit/useVisit.tsx';
import { VisitHead } from '../visit/VisitNav.tsx';
import { Mark } from '../theme/Mark.tsx';
import { Onward } from '../visit/Onward.tsx';
import { Bottles } from './Bottles.tsx';
import { FillNow } from './FillNow.tsx';
import { LabelOn } from './LabelOn.tsx';
import { useLabelsAtOnce } from './labelsAtOnce.ts';

const isBlank = (bottle: BottleState) => !purpose(bottle.purpose).isWater;

/** Bottles in their order; one card at a time. */
function FillAt({ visit }: { visit: VisitState }) {
  const { id } = useRound();
  const { isOn } = useLabelsAtOnce();
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
        <div className="stack">
          <p className="word tone-good" style={{ fontSize: 26 }}>
            <Mark kind="good" size={26} />
            All bottles here are full
          </p>
          <Onward />
        </div>
      )}
      {isOn &&
        empty.length === 0 &&
        visit.bottles
          .filter(({ state, lost, labelled }) => state === 'filled' && !lost && !labelled)
          .map((bottle) => <LabelOn key={bottle.id} bottle={bottle} />)}
      {visit.bottles.length === 0 && (
        <Empty title="No bottle is planned here">
          <Link to={`/rounds/${id}`}>Choose analyses</Link>
        </Empty>
      )}
      <Bottles visit={visit} />
    </div>
  );
}

export const FillPage = atVisit(FillAt);

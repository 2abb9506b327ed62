import { mayWorkIn, nextStep, sayNext } from '@fonte/core/round';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { Clocks, Settle } from '../book/Settle.tsx';
import { useRound } from '../book/useRound.ts';
import { GiveUp, PlanPanel } from '../plan/index.ts';
import { FollowUps } from '../act/index.ts';
import { KitPage, KitPanel } from '../kit/index.ts';
import { useMe } from '../session/session.ts';
import { stepPath } from '../visit/paths.ts';
import { OutOfUse } from '../book/OutOfUse.tsx';

/** The first page of a round; whoever has it as a kit sees the kit. */
export function RoundPage() {
  const { role } = useMe();
  return role === 'householder' ? <KitPage /> : <WholeRound />;
}

/** What blocks the next step, and the plan with its bottles. */
function WholeRound() {
  const { id, round } = useRound();
  const { role } = useMe();
  const navigate = useNavigate();
  const next = nextStep(round);
  const where = round.visits.find((visit) => visit.id === next?.visit)?.name;
  return (
    <>
      <section className="row between">
        <div>
          <h1>{next ? sayNext(next) : round.givenUp ? 'This round was abandoned' : 'This round is done'}</h1>
          {where && <p className="soft">{where}</p>}
        </div>
        {next && next.room !== 'plan' && next.room !== 'kit' && mayWorkIn(next.room, role) && (
          <Button type="primary" size="large" onClick={() => void navigate(stepPath(id, next))}>
            Go on
          </Button>
        )}
      </section>
      {round.givenUp && <GiveUp />}
      <OutOfUse points={round.visits.map(({ point }) => point)} />
      <KitPanel />
      <Settle />
      <Clocks />
      {round.followUps.length > 0 && <FollowUps />}
      <PlanPanel />
      {!round.givenUp && <GiveUp />}
    </>
  );
}

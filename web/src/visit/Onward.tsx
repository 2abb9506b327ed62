import { mayWorkIn, nextStep, sayNext } from '@fonte/core/round';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { useRound } from '../book/useRound.ts';
import { useMe } from '../session/session.ts';
import { stepPath } from './paths.ts';

/** The way on from a point where nothing is left to do: what comes next in the round, and where. */
export function Onward() {
  const { id, round } = useRound();
  const navigate = useNavigate();
  const { role } = useMe();
  const next = nextStep(round);
  const isMine = next !== null && mayWorkIn(next.room, role);
  const where = round.visits.find((visit) => visit.id === next?.visit)?.name;
  return (
    <div className="stack">
      {next && (
        <p>
          Next: {sayNext(next)}
          {where ? `, ${where}` : ''}.
        </p>
      )}
      <div>
        <Button type="primary" size="large" onClick={() => void navigate(isMine ? stepPath(id, next) : `/rounds/${id}`)}>
          {isMine ? 'Go on' : 'To the round'}
        </Button>
      </div>
    </div>
  );
}

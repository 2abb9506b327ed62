import { nextStep, sayNext } from '@fonte/core/round';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { useRound } from '../book/useRound.ts';
import { stepPath } from './paths.ts';

/** The way on from a point where nothing is left to do: what comes next in the round, and where. */
export function Onward() {
  const { id, round } = useRound();
  const navigate = useNavigate();
  const next = nextStep(round);
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
        <Button type="primary" size="large" onClick={() => void navigate(next ? stepPath(id, next) : `/rounds/${id}`)}>
          {next ? 'Go on' : 'To the round'}
        </Button>
      </div>
    </div>
  );
}

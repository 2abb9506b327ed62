import { registered, type Point } from '@fonte/core/registers';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../../api/call.ts';
import { useAnswer } from '../../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../../feedback/Feedback.tsx';

/** What is shown of the point that the address names, once it is known. */
export function KnownPoint({ children }: { children: (point: Point) => ReactNode }) {
  const { thing: id = '' } = useParams();
  const { data: point, error, mutate } = useAnswer(registered.points, { in: { id } });
  if (error instanceof ApiProblem && error.status === 404)
    return (
      <Empty title="There is no such point in the register">
        <Link to="/points">All points</Link>
      </Empty>
    );
  if (error && !point) return <Failed error={error} retry={() => void mutate()} />;
  return point ? children(point) : <Loading what="the point" />;
}

import type { VisitState } from '@fonte/core/round';
import type { ComponentType } from 'react';
import { Link, useParams } from 'react-router';
import { Empty } from '../feedback/Feedback.tsx';
import { useRound, visitOf } from '../book/useRound.ts';

/** A page at one point of the round; says so when the address names none of it. */
export function atVisit(Page: ComponentType<{ visit: VisitState }>): ComponentType {
  return function AtVisit() {
    const { visit: wanted } = useParams();
    const { id, round } = useRound();
    const visit = visitOf(round, wanted);
    if (!visit)
      return (
        <Empty title="This round has no such point">
          <Link to={`/rounds/${id}`}>To the round</Link>
        </Empty>
      );
    return <Page key={visit.id} visit={visit} />;
  };
}

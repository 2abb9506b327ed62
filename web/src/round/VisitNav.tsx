import { protocolOf, type VisitState } from '@fonte/core/round';
import { NavLink } from 'react-router';
import type { ReactNode } from 'react';
import { useRound } from '../book/useRound.ts';
import { roomPath } from './paths.ts';

/** The head of every page at a point: where one is, how to get there, and the rooms of this point. */
export function VisitHead({ visit, children }: { visit: VisitState; children?: ReactNode }) {
  const { id } = useRound();
  const { point } = visit;
  const rooms =
    point.type === 'well'
      ? ([
          ['level', 'Level'],
          ...(visit.analyses.length > 0
            ? ([
                ['purge', 'Purge'],
                ['fill', 'Fill'],
              ] as const)
            : []),
        ] as const)
      : ([...(protocolOf(visit) ? ([['tap', 'Protocol']] as const) : []), ['fill', 'Fill']] as const);
  return (
    <header className="stack">
      <div className="row between">
        <div>
          <h1>{point.name}</h1>
          <p className="soft">
            {point.place}
            {point.type === 'tap' ? `. ${point.tap.outlet}` : ''}
            {point.access ? `. ${point.access}` : ''}
          </p>
        </div>
        {children}
      </div>
      <nav className="steps-nav" aria-label="At this point">
        {rooms.map(([room, name]) => (
          <NavLink key={room} to={roomPath(id, room, visit.id)}>
            {name}
          </NavLink>
        ))}
      </nav>
    </header>
  );
}

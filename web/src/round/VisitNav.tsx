import { runsOf, type StepRoom, type VisitState } from '@fonte/core/round';
import { NavLink } from 'react-router';
import type { ReactNode } from 'react';
import { useRound } from '../book/useRound.ts';
import { roomPath } from './paths.ts';

interface Place {
  room: StepRoom;
  name: string;
  procedure?: string;
}

/** The rooms of a visit, in the order of the work; each run is one of its own. */
function placesOf(visit: VisitState): Place[] {
  const { point, analyses } = visit;
  const sampled = analyses.length > 0;
  return [
    ...(point.type === 'well' ? [{ room: 'level', name: 'Level' } as const] : []),
    ...(visit.purge && sampled ? [{ room: 'purge', name: 'Purge' } as const] : []),
    ...runsOf(visit).map(({ procedure, protocol }) => ({ room: 'tap', name: protocol.title, procedure }) as const),
    ...(sampled || point.type === 'tap' ? [{ room: 'fill', name: 'Fill' } as const] : []),
  ];
}

/** The head of every page at a point: where one is, how to get there, and the rooms of this visit. */
export function VisitHead({ visit, children }: { visit: VisitState; children?: ReactNode }) {
  const { id } = useRound();
  const { point } = visit;
  return (
    <header className="stack">
      <div className="row between">
        <div>
          <h1>{visit.name}</h1>
          <p className="soft">
            {point.place}
            {point.type === 'tap' ? `. ${point.tap.outlet}` : ''}
            {point.access ? `. ${point.access}` : ''}
          </p>
        </div>
        {children}
      </div>
      <nav className="steps-nav" aria-label="At this point">
        {placesOf(visit).map(({ room, name, procedure }) => (
          <NavLink key={`${room} ${procedure ?? ''}`} to={roomPath(id, room, visit.id, procedure)}>
            {name}
          </NavLink>
        ))}
      </nav>
    </header>
  );
}

import { causes } from '@fonte/core/due';
import type { VisitState } from '@fonte/core/round';
import { Link, NavLink } from 'react-router';
import { Suspense, type ReactNode } from 'react';
import { useRound } from '../book/useRound.ts';
import { showMoment } from '../time/show.ts';
import { roomPath } from './paths.ts';
import { useBesideName, useNotes, usePlaces } from './room.ts';

/** The head of every page at a point: where one is, how to get there, and the rooms of this visit. */
export function VisitHead({ visit, children }: { visit: VisitState; children?: ReactNode }) {
  const { id, round } = useRound();
  const { point } = visit;
  const places = usePlaces(visit);
  const notes = useNotes();
  const offers = useBesideName();
  return (
    <header className="stack visit-head">
      <div className="row between">
        <div>
          <div className="row visit-name">
            <h1>{visit.name}</h1>
            <Suspense>
              {offers.map(({ name, Offer }) => (
                <Offer key={name} visit={visit} />
              ))}
            </Suspense>
          </div>
          <p className="soft">
            {point.place}
            {point.type === 'tap' ? `. ${point.tap.outlet}` : ''}
            {point.access ? `. ${point.access}` : ''}
          </p>
        </div>
        {children}
      </div>
      {visit.because && (
        <p className="small">
          <span className="strong">{causes[visit.because.as].name}</span> for {visit.because.of}, by{' '}
          {showMoment(visit.because.by, round.plan.zone)}. <Link to={`/rounds/${visit.because.round}/verdict`}>What asked for it</Link>
        </p>
      )}
      <nav className="steps-nav" aria-label="At this point">
        {places.map(({ room, label, procedure }) => (
          <NavLink key={`${room} ${procedure ?? ''}`} to={roomPath(id, room, visit.id, procedure)}>
            {label}
          </NavLink>
        ))}
      </nav>
      {notes.map(({ name, Note }) => (
        <Note key={name} visit={visit} />
      ))}
    </header>
  );
}

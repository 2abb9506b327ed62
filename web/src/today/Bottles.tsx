import { isSameParty, partyKind } from '@fonte/core/custody';
import type { BottleInCooler, RoundLine } from '@fonte/core/round';
import { showDuration } from '@fonte/core/time';
import { Link } from 'react-router';
import { useMe } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { Deadline } from '../time/Countdown.tsx';
import { useNow } from '../time/useNow.ts';
import { roomPath } from '../visit/paths.ts';
import type { Agenda } from './agenda.ts';

/** So many bottles are listed: those whose time ends first. */
const shortest = 3;

/** Bottles that whoever is signed in has in the cooler. */
export function Waiting({ bottles }: { bottles: Agenda<BottleInCooler> }) {
  const me = useMe();
  const time = useNow(10_000);
  // What a colleague has is not in this cooler: it is listed with others.
  const first = bottles.first.filter(({ item }) => !item.holder || isSameParty(item.holder, { as: 'person', name: me.name }));
  const count = bottles.count - (bottles.first.length - first.length);
  if (first.length === 0) return null;
  return (
    <section className="stack">
      <h2>Bottles in the cooler</h2>
      {first.slice(0, shortest).map(({ round, item: bottle }) => (
        <Link key={bottle.bottle} className="tile" to={roomPath(round, 'custody', null)}>
          <span>
            {bottle.bottle}
            <br />
            <span className="soft small">{bottle.pointName}</span>
          </span>
          {bottle.handOverBy === null ? (
            <span className="word tone-stop">
              <Mark kind="stop" size={15} />
              Cannot reach the lab in time
            </span>
          ) : (
            <Deadline at={bottle.handOverBy} now={time} />
          )}
        </Link>
      ))}
      {count > shortest && <p className="soft">and {count - shortest} more with longer time</p>}
    </section>
  );
}

/** What couriers, colleagues, households and locked places have: what must be at its lab first leads, so that nothing is forgotten over night. */
export function WithOthers({ rounds }: { rounds: readonly RoundLine[] }) {
  const me = useMe();
  const time = useNow(30_000);
  const held = rounds
    .flatMap(({ id, overview }) => overview.held.map((one) => ({ ...one, round: id, code: overview.code })))
    // What one has oneself is in the cooler.
    .filter((one) => !isSameParty(one, { as: 'person', name: me.name }))
    .sort((a, b) => (a.deadline ?? Infinity) - (b.deadline ?? Infinity) || a.since - b.since);
  if (held.length === 0) return null;
  return (
    <section className="stack" aria-label="With others">
      <h2>With others</h2>
      {held.slice(0, shortest).map(({ round, code, name, as, count, since, deadline }) => (
        <Link key={`${round} ${as} ${name}`} className="tile" to={roomPath(round, 'custody', null)}>
          <span>
            {count === 1 ? '1 bottle' : `${count} bottles`} with {name}
            <br />
            <span className="soft small">
              {partyKind(as).name}, {code}, for {showDuration(time - since)}
              {deadline !== null && deadline < time ? '. Past the holding time' : ''}
            </span>
          </span>
          {deadline !== null && <Deadline at={deadline} now={time} />}
        </Link>
      ))}
      {held.length > shortest && <p className="soft">and {held.length - shortest} more</p>}
    </section>
  );
}

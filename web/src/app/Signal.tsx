import { useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { useConnection } from '../api/connection.ts';
import { useOldest } from '../api/kept.ts';
import { inOutbox, subscribe } from '../book/outbox.ts';
import { Mark } from '../theme/Mark.tsx';
import { now } from '../time/clock.ts';
import { showNear, siteZone } from '../time/show.ts';
import { useLasting } from '../time/useLasting.ts';
import { takeOver, useNewVersion } from './version.ts';

/** The day too, where it was another one. */
const since = (moment: number): string => showNear(moment, now(), siteZone());

/** What only this device has, and whether there is a signal: said on every page for as long as it is so. */
export function Signal() {
  const kept = useSyncExternalStore(subscribe, inOutbox);
  const { isLost, since: lostAt } = useConnection();
  const oldest = useOldest();
  const waiting = kept.filter(({ state }) => state === 'waiting');
  const refused = kept.filter(({ state }) => state === 'refused').length;
  const isHeldUp = useLasting(waiting.length > 0, 1200);
  const isOut = useLasting(isLost, 800);
  const isNewer = useNewVersion();
  if (!isOut && !isHeldUp && refused === 0 && !isNewer) return null;
  return (
    <div className="signal" role="status">
      {isOut && (
        <span>
          <Mark kind="question" size={15} /> No signal since {since(lostAt)}
          {oldest === null ? '' : `. What you see is from ${since(oldest)}`}.
        </span>
      )}
      {isHeldUp && (
        <Link to="/outbox">
          {waiting.length === 1 ? '1 entry' : `${waiting.length} entries`} only on this device, since {since(waiting[0]!.at)}
        </Link>
      )}
      {isNewer && (
        <span>
          A new version waits for the end of what is in hand.{' '}
          <button type="button" className="as-link" onClick={takeOver}>
            Use it now
          </button>
        </span>
      )}
      {refused > 0 && (
        <Link to="/outbox" className="strong">
          <Mark kind="stop" size={15} /> {refused === 1 ? '1 entry was' : `${refused} entries were`} refused
        </Link>
      )}
    </div>
  );
}

import type { PurgeState } from '@fonte/core/purge';
import { showDuration } from '@fonte/core/time';
import { Mark } from '../../theme/Mark.tsx';
import { useNow } from '../../time/useNow.ts';
import { RingAway } from '../../time/RingAway.tsx';

/** When the next set is to be read: what is left, then that it is time and since when. */
export function NextClock({ purge }: { purge: PurgeState }) {
  const time = useNow(500);
  if (!purge.clock || purge.ready) return null;
  const { from, until } = purge.clock;
  const left = until - time;
  const share = Math.max(0, Math.min(1, 1 - left / (until - from || 1)));
  const said = left > 0 ? 'until the next set' : purge.count > 0 ? 'over: read the next set' : 'over: read the first set';
  return (
    <div className={`next-clock${left <= 0 ? ' over' : ''}`} role="timer" aria-label={`${showDuration(Math.abs(left))} ${said}`}>
      {left <= 0 && <Mark kind="live" />}
      <span className="time">{showDuration(Math.abs(left))}</span>
      <span className="small">{said}</span>
      <span className="vessel" aria-hidden="true">
        <span style={{ width: `${share * 100}%` }} />
      </span>
      <RingAway />
    </div>
  );
}

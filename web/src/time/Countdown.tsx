import { second, showDuration } from '@fonte/core/time';
import { Mark } from '../theme/Mark.tsx';
import './clock.css';

interface Props {
  from: number;
  /** Seconds that it must run, and may; null where there is no most. */
  least: number;
  most?: number | null | undefined;
  now: number;
  big?: boolean;
}

/** A clock that must run for a while: what is left, then that it is over and by how much, then that it was too long. */
export function Countdown({ from, least, most = null, now, big }: Props) {
  const gone = Math.max(0, now - from);
  const left = least * second - gone;
  const room = most === null ? null : most * second - gone;
  const share = Math.min(1, gone / (least * second));
  const [time, said] =
    left > 0
      ? [left, 'to go']
      : room === null
        ? [gone, 'so far: long enough']
        : room > 0
          ? [room, 'left: long enough']
          : [-room, 'too long'];
  return (
    <span
      className={`countdown${big ? ' big' : ''}${left <= 0 ? ' over' : ''}${room !== null && room <= 0 ? ' late' : ''}`}
      role="timer"
      aria-label={`${showDuration(time)} ${said}`}
    >
      <span className={`time${showDuration(time).length > 6 ? ' long' : ''}`}>{showDuration(time)}</span>
      <span className="small">{said}</span>
      {big && (
        <span className="vessel" aria-hidden="true">
          <span style={{ width: `${share * 100}%` }} />
        </span>
      )}
    </span>
  );
}

const soon = 2 * 3600 * second;

/** How long until something must have happened. */
export function Deadline({ at, now }: { at: number; now: number }) {
  const left = at - now;
  const [tone, kind] =
    left <= 0 ? (['stop', 'stop'] as const) : left < soon ? (['question', 'question'] as const) : (['soft', null] as const);
  return (
    <span className={`deadline word tone-${tone}`}>
      {kind && <Mark kind={kind} size={15} />}
      {left > 0 ? showDuration(left) : `${showDuration(-left)} late`}
    </span>
  );
}

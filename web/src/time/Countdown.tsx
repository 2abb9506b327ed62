import { second, showDuration } from '@fonte/core/time';
import { Mark } from '../theme/Mark.tsx';
import './clock.css';

/** A clock that must run for a while: what is left, then that it is over and by how much. */
export function Countdown({ from, least, now, big }: { from: number; least: number; now: number; big?: boolean }) {
  const gone = Math.max(0, now - from);
  const left = least * second - gone;
  const share = Math.min(1, gone / (least * second));
  return (
    <span
      className={`countdown${big ? ' big' : ''}${left <= 0 ? ' over' : ''}`}
      role="timer"
      aria-label={left > 0 ? `${showDuration(left)} to go` : `Long enough, ${showDuration(gone)} so far`}
    >
      <span className="time">{left > 0 ? showDuration(left) : showDuration(gone)}</span>
      <span className="small">{left > 0 ? 'to go' : 'so far: long enough'}</span>
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

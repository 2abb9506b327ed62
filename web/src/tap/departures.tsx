import { clockStarted, runGivenUp, stepReopened, stepSkipped, type Effect, type Stop } from '@fonte/core/tap';
import { Mark } from '../theme/Mark.tsx';

/** What else than the answer a person may be about to say, each with a reason. */
export const detours = {
  skip: { kind: stepSkipped, about: 'This step is left out.', button: 'Leave it out' },
  flush: { kind: stepReopened, about: 'The tap is flushed again, and the clock starts after that.', button: 'Flush again' },
  restart: { kind: clockStarted, about: 'The clock starts from zero.', button: 'Restart the clock' },
  giveUp: { kind: runGivenUp, about: 'The whole protocol is given up: no sample of it.', button: 'Give the protocol up' },
} as const;
export type Detour = keyof typeof detours;

const stopSays = { abandoned: 'Stop.', invalid: 'Spoilt.', special: 'Special sample.' } as const;

/** What a departure makes of the sample, as it is said before it is written down, and on the button. */
export const effectSays: Record<Effect, { says: string; button: string }> = {
  noted: { says: 'It is noted; the sample stays what it is.', button: 'Go on, departing from the protocol' },
  special: { says: 'The sample is a special one then, not for compliance.', button: 'Go on as a special sample' },
  invalid: {
    says: 'The sample is then spoilt: a result under a limit is inconclusive. Take it again if you can.',
    button: 'Go on with a spoilt sample',
  },
};

/** What an answer would do to the sample, before it is given. */
export function Warning({ stop }: { stop: Stop }) {
  const kind = stop.outcome === 'special' ? 'question' : 'stop';
  return (
    <div className={`finding ${kind}`} role="alert">
      <Mark kind={kind} />
      <p>
        <span className="strong">{stopSays[stop.outcome]}</span> {stop.say}
      </p>
      <p className="small">{stop.advice}</p>
    </div>
  );
}

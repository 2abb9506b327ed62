import { recovery, type LevelState } from '@fonte/core/level';
import { fromBase, show, unitLabel } from '@fonte/core/units';
import { useRound } from '../book/useRound.ts';
import { Course } from '../time/Course.tsx';
import { Mark } from '../theme/Mark.tsx';
import { useUnitSystem } from '../units/system.ts';

/** A well that was pumped lately comes back: its readings as a course, and whether it is at rest again. */
export function RecoveryWatch({ level }: { level: LevelState }) {
  const { round } = useRound();
  const {
    units: {
      depth: [unit],
    },
  } = useUnitSystem();
  const { readings } = level;
  const last = readings.at(-1);
  if (last?.water !== 'pumped-lately') return null;
  const of = readings.filter(({ measuringPoint, water }) => measuringPoint === last.measuringPoint && water === 'pumped-lately');
  const found = recovery(of, round.tables.tolerances);
  const rate = (perMinute: number) => `${show(Math.abs(perMinute), unit === 'ft' ? 'ft' : 'mm', unit === 'ft' ? 3 : 1)} a minute`;
  return (
    <section className="stack" aria-label="Recovery">
      <h2>It recovers</h2>
      {found === null ? (
        <p className="soft">Read it again in a minute: its change tells when it is at rest.</p>
      ) : (
        <p className={`word tone-${found.isAtRest ? 'good' : 'question'}`}>
          <Mark kind={found.isAtRest ? 'good' : 'question'} />
          {found.isAtRest
            ? `At rest again: ${rate(found.perMinute)}. Read it now as “At rest”.`
            : `It ${found.perMinute < 0 ? 'rises' : 'falls'} by ${rate(found.perMinute)}${found.least === null ? '' : `; at rest below ${rate(found.least)}`}.`}
        </p>
      )}
      {of.length > 2 && (
        <Course
          says={`Level while it recovers, ${of.length} readings`}
          times={of.map(({ at }) => at)}
          values={of.map(({ depth }) => fromBase(depth, unit))}
          axis={`Depth, ${unitLabel(unit)}`}
          isReversed
          height={170}
          zone={round.plan.zone}
        />
      )}
    </section>
  );
}

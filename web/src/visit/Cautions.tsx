import { hazard, type Point } from '@fonte/core/registers';
import { Mark } from '../theme/Mark.tsx';

type Work = 'level' | 'purge' | 'tap';

const always = 'Look round first: traffic, dogs, insects, an open pit, working alone.';

/** What may hurt somebody at this point, by what it is for and by what is about to be done. Common practice. */
function cautionsOf({ type, use }: Point, at: Work): string[] {
  const dirty = type === 'well' && use === 'monitoring';
  switch (at) {
    case 'level':
      return [
        `${always} Never climb into a shaft.`,
        dirty
          ? 'Gloves: this water may be contaminated. Clean the tape before the next well, cleanest well first.'
          : 'Clean the tape before it goes into a drinking-water well.',
      ];
    case 'purge':
      return [
        'Electricity and water: a residual-current device, dry connections, pump unplugged before it is lifted.',
        dirty
          ? 'Gloves and splash protection. Purge water may be contaminated: not onto the ground without leave; into a container, and count it.'
          : 'Purge water onto clean ground, away from the well head.',
      ];
    case 'tap':
      return [always, 'Hot water scalds: open slowly.'];
  }
}

/**
 * Cautions at a point, in a line that does not stand in the way of the work: first what the register says of this place, then what holds
 * for the work. What nobody may go into alone stands out. Local rules and the employer’s come first.
 */
export function Cautions({ point, at }: { point: Point; at: Work }) {
  const here = (point.hazards ?? []).map(hazard);
  const stops = here.filter(({ stops: isStop }) => isStop);
  const known = here.filter(({ stops: isStop }) => !isStop).map(({ name, caution }) => `${name}. ${caution}`);
  const [first, ...others] = [...known, ...cautionsOf(point, at)];
  return (
    <>
      {stops.map(({ name, caution }) => (
        <p key={name} className="finding stop">
          <Mark kind="stop" />
          <span>
            <span className="strong">{name}.</span> {caution}
          </span>
        </p>
      ))}
      <details className="small soft">
        <summary>
          <Mark kind="question" size={13} /> Caution: {first}
        </summary>
        {others.map((caution) => (
          <p key={caution}>{caution}</p>
        ))}
        <p>Local codes and your employer’s rules come first.</p>
      </details>
    </>
  );
}

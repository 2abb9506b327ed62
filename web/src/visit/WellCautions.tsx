import type { WellPoint } from '@fonte/core/registers';
import { Mark } from '../theme/Mark.tsx';

const always = 'Look round first: traffic, dogs, insects, an open pit, working alone. Never climb into a shaft.';

/** What may hurt somebody at this well, by what it is for and by what is about to be done. Common practice. */
function cautionsOf(use: WellPoint['use'], at: 'level' | 'purge'): string[] {
  const dirty = use === 'monitoring';
  if (at === 'level')
    return [
      always,
      dirty
        ? 'Gloves: this water may be contaminated. Clean the tape before the next well, cleanest well first.'
        : 'Clean the tape before it goes into a drinking-water well.',
    ];
  return [
    'Electricity and water: a residual-current device, dry connections, pump unplugged before it is lifted.',
    dirty
      ? 'Gloves and splash protection. Purge water may be contaminated: not onto the ground without leave; into a container, and count it.'
      : 'Purge water onto clean ground, away from the well head.',
  ];
}

/** Cautions at a well, in a line that does not stand in the way of the work. Local rules and the employer’s come first. */
export function WellCautions({ point, at }: { point: WellPoint; at: 'level' | 'purge' }) {
  const [first, ...others] = cautionsOf(point.use, at);
  return (
    <details className="small soft">
      <summary>
        <Mark kind="question" size={13} /> Caution: {first}
      </summary>
      {others.map((caution) => (
        <p key={caution}>{caution}</p>
      ))}
      <p>Local codes and your employer’s rules come first.</p>
    </details>
  );
}

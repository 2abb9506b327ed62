import type { LevelTape } from '@fonte/core/devices';
import { Button } from 'antd';
import { useState } from 'react';
import { Mark } from '../theme/Mark.tsx';
import { useHeard } from './useHeard.ts';

const steps = [1, 0.1, 0.01, 0.001] as const;
const labelOf = (step: number) => (step >= 1 ? `${step} m` : step >= 0.01 ? `${Math.round(step * 100)} cm` : '1 mm');

/** A tape let down by the hand: it sounds in the water. What it shows at the mark is taken over, or typed. */
export function Tape({ tape, take }: { tape: LevelTape; take: (depth: string) => void }) {
  const heard = useHeard(tape);
  const [depth, setDepth] = useState(0);
  const move = (by: number) => {
    const to = Math.max(0, Math.round((depth + by) * 1000) / 1000);
    setDepth(to);
    tape.moveTo(to);
  };
  const isWet = heard !== null && Math.abs(heard.depth - depth) < 1e-9 && heard.sounds;
  return (
    <section className="panel tape-device" aria-label={tape.name}>
      <div className="row between">
        <span className="value strong">{depth.toFixed(3)} m</span>
        <span className={`word tone-${isWet ? 'live' : 'note'}`} role="status">
          <Mark kind={isWet ? 'live' : 'open'} />
          {isWet ? 'It sounds' : 'Silent'}
        </span>
      </div>
      <div className="tape-steps">
        {steps.map((step) => (
          <Button key={step} onClick={() => move(step)} aria-label={`Lower by ${labelOf(step)}`}>
            ↓ {labelOf(step)}
          </Button>
        ))}
        {steps.map((step) => (
          <Button key={-step} onClick={() => move(-step)} aria-label={`Raise by ${labelOf(step)}`}>
            ↑ {labelOf(step)}
          </Button>
        ))}
      </div>
      <Button onClick={() => take(depth.toFixed(3))}>Take {depth.toFixed(3)} m over</Button>
    </section>
  );
}

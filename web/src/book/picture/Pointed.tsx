import type { Arrow } from '@fonte/core/pictures';
import type { ReactNode } from 'react';
import './pointed.css';

/** Length of an arrow's head, as a part of the picture. */
const head = 0.06;

/** The two ends of an arrow's head. */
function headOf({ tail, tip }: Arrow) {
  const angle = Math.atan2(tip.y - tail.y, tip.x - tail.x);
  return [angle + 2.6, angle - 2.6].map((side) => `${tip.x + head * Math.cos(side)},${tip.y + head * Math.sin(side)}`);
}

/** A picture with the arrow that was drawn on it. */
export function Pointed({ arrow, children }: { arrow: Arrow | null; children: ReactNode }) {
  if (!arrow) return children;
  const { tail, tip } = arrow;
  const [left, right] = headOf(arrow);
  const lines = `M${tail.x},${tail.y} L${tip.x},${tip.y} M${left} L${tip.x},${tip.y} L${right}`;
  return (
    <div className="pointed">
      {children}
      <svg viewBox="0 0 1 1" preserveAspectRatio="none" role="img" aria-label="An arrow shows which">
        <path d={lines} className="pointed-edge" />
        <path d={lines} />
      </svg>
    </div>
  );
}

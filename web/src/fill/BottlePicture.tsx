import type { BottleRule } from '@fonte/core/bottles';
import './fill.css';

const body = { top: 70, bottom: 232, left: 24, right: 126 };

/** A bottle with the water to its mark and the air that stays above it. */
export function BottlePicture({ rule, filled }: { rule: BottleRule; filled: boolean }) {
  const y = body.bottom - (body.bottom - body.top + 10) * rule.mark;
  return (
    <svg className="bottle-picture" viewBox="0 0 230 250" role="img" aria-label={`Fill: ${rule.fill}. ${rule.headspace}.`}>
      <path d={`M54 40h42v18c0 12 30 12 30 34v136a6 6 0 0 1-6 6H30a6 6 0 0 1-6-6V92c0-22 30-22 30-34z`} className="glass" />
      <clipPath id={`inside-${rule.letter}`}>
        <path d="M54 40h42v18c0 12 30 12 30 34v136a6 6 0 0 1-6 6H30a6 6 0 0 1-6-6V92c0-22 30-22 30-34z" />
      </clipPath>
      <rect
        x={24}
        width={102}
        y={y}
        height={body.bottom - y + 4}
        className={filled ? 'wet' : 'to-fill'}
        clipPath={`url(#inside-${rule.letter})`}
      />
      <path d="M54 40h42v18c0 12 30 12 30 34v136a6 6 0 0 1-6 6H30a6 6 0 0 1-6-6V92c0-22 30-22 30-34z" className="outline" />
      <rect x={49} y={14} width={52} height={24} className="cap" />
      <line x1={18} x2={140} y1={y} y2={y} className="fill-mark" />
      <text x={144} y={y + 5}>
        to here
      </text>
      <text x={75} y={168} textAnchor="middle" className="letter">
        {rule.letter}
      </text>
    </svg>
  );
}

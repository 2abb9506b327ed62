import { parameter } from '@fonte/core/parameters';
import { sayStability, type ParameterVerdict, type Stability } from '@fonte/core/purge';
import { showNumber, unitLabel } from '@fonte/core/units';
import { Mark, type MarkKind } from '../../theme/Mark.tsx';
import './bands.css';

const words: Record<ParameterVerdict['state'], [string, MarkKind]> = {
  holding: ['Holding', 'good'],
  moving: ['Moving', 'question'],
  drifting: ['Drifting', 'question'],
  short: ['Too few sets', 'note'],
  coarse: ['Read too coarsely', 'question'],
  unread: ['Not read', 'open'],
};

const [width, height] = [260, 46];

/** The last values closing in on the band: the newest large, older ones smaller, the band in the middle. */
function Band({ verdict }: { verdict: ParameterVerdict }) {
  const { band, window } = verdict;
  if (!band) return null;
  const reach = Math.max(band.half * 2.2, ...window.map((value) => Math.abs(value - band.middle) * 1.15)) || 1;
  const x = (value: number) => width / 2 + ((value - band.middle) / reach) * (width / 2 - 10);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      <rect
        x={x(band.middle - band.half)}
        width={Math.max(3, x(band.middle + band.half) - x(band.middle - band.half))}
        y={6}
        height={height - 12}
        className="band"
      />
      <line x1={0} x2={width} y1={height / 2} y2={height / 2} className="axis" />
      {window.map((value, index) => {
        const age = window.length - 1 - index;
        return (
          <circle
            key={index}
            cx={x(value)}
            cy={height / 2}
            r={age === 0 ? 9 : Math.max(3, 7 - 1.5 * age)}
            className={age === 0 ? 'latest' : 'older'}
          />
        );
      })}
    </svg>
  );
}

export function Bands({ of }: { of: Stability }) {
  return (
    <ul className="bands plain">
      {of.parameters.map((verdict) => {
        const row = parameter(verdict.parameter);
        const [word, kind] = words[verdict.state];
        if (verdict.state === 'unread')
          return (
            <li key={verdict.parameter} className="unread">
              <span className="strong">{row.name}</span>
              <span className={`word tone-${kind}`}>
                <Mark kind={kind} />
                {word}
              </span>
            </li>
          );
        return (
          <li key={verdict.parameter}>
            <span className="band-name">
              <span className="strong">{row.name}</span>
              <span className="small soft">
                {verdict.window.map((value) => showNumber(value, row.decimals)).join(' → ')} {unitLabel(row.unit)}
              </span>
            </span>
            <Band verdict={verdict} />
            <span className={`word tone-${kind}`}>
              <Mark kind={kind} />
              {word}
            </span>
            <span className="small soft band-why">{sayStability(verdict.because)}</span>
          </li>
        );
      })}
    </ul>
  );
}

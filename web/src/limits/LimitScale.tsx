import { boundsOf, type JudgedResult } from '@fonte/core/limits';
import './verdict.css';

const [width, height] = [300, 34];

/** A result on its own scale with its limit as a line; what is only known to lie below a bound is drawn as a span. */
export function LimitScale({ of: { result, verdict } }: { of: JudgedResult }) {
  const { low, high } = boundsOf(result);
  const { most, least } = verdict;
  const known = Number.isFinite(high) ? high : low;
  const reach = Math.max((most ?? 0) * 1.35, known * 1.12, (least ?? 0) * 1.2) || 1;
  const from = least !== null ? Math.min(least, low) * 0.85 : 0;
  const x = (value: number) => 6 + ((Math.min(value, reach) - from) / (reach - from)) * (width - 12);
  const middle = height / 2;
  return (
    <svg className="limit-scale" viewBox={`0 0 ${width} ${height}`} aria-hidden="true">
      {most !== null && (
        <rect
          x={x(most)}
          width={width - x(most)}
          y={middle - 7}
          height={14}
          className={verdict.limit?.kind === 'health' ? 'over health' : 'over'}
        />
      )}
      {least !== null && <rect x={0} width={x(least)} y={middle - 7} height={14} className="over" />}
      <line x1={0} x2={width} y1={middle} y2={middle} className="axis" />
      {[most, least].map(
        (limit) => limit !== null && <line key={limit} x1={x(limit)} x2={x(limit)} y1={3} y2={height - 3} className="limit" />,
      )}
      {result.form === 'value' || result.form === 'absent' ? (
        <path d={`M${x(known)} ${middle - 11}l7 11-7 11-7-11z`} className="value" />
      ) : (
        <>
          <line x1={x(low)} x2={Number.isFinite(high) ? x(high) : width} y1={middle} y2={middle} className="span" />
          <line x1={x(known)} x2={x(known)} y1={middle - 8} y2={middle + 8} className="span" />
        </>
      )}
    </svg>
  );
}

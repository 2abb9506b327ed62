import type { PurgeAim, PurgeState } from '@fonte/core/purge';
import { belowMark, type MeasuringPoint, type Well } from '@fonte/core/registers';
import { fromBase, showNumber, unitLabel, type UnitId } from '@fonte/core/units';
import { useUnitSystem } from '../units/system.ts';
import './well.css';

interface Props {
  well: Well;
  mark: MeasuringPoint;
  /** m below the mark; the water is drawn where the tape says, or not at all. */
  depth: number | null;
  /** Level while pumping, m below the mark. */
  pumping?: number | null;
  purge?: PurgeState | null;
}

const height = 560;
const [top, width] = [44, 360];
const casing = { left: 130, right: 182 };

/** The well from the measuring point to its bottom, to scale in depth: casing, screen, water, intake, tape. */
export function WellSection({ well, mark, depth, pumping = null, purge = null }: Props) {
  const {
    units: {
      depth: [unit, decimals],
      volume: [volumeUnit],
    },
  } = useUnitSystem();
  const below = (ofGround: number | undefined) => belowMark(mark, ofGround);
  const known = below(well.bottom);
  const screen = { from: below(well.screenTop), to: below(well.screenBottom) };
  const intake = below(well.intake);
  // Where the bottom is not known the well is drawn open, a good way below all that is.
  const bottom = known ?? Math.max(10, ...[depth, pumping, screen.to, intake].map((one) => (one ?? 0) * 1.3));
  const y = (at: number) => top + (Math.max(-0.5, Math.min(at, bottom * 1.04)) / (bottom * 1.04)) * (height - top - 20);
  const ground = mark.stickUp === undefined ? null : y(mark.stickUp);
  const shown = (at: number) => `${showNumber(fromBase(at, unit), Math.min(decimals, 2))} ${unitLabel(unit)}`;
  const middle = (casing.left + casing.right) / 2;
  const level = pumping ?? depth;
  const say = [
    `Well section: bottom ${known === null ? 'not known' : `at ${shown(known)}`}`,
    ...(screen.from !== null && screen.to !== null ? [`screen from ${shown(screen.from)} to ${shown(screen.to)}`] : []),
    depth === null ? 'water level not measured yet' : `water at ${shown(depth)}`,
  ].join(', ');
  return (
    <figure className="well-section">
      <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={`${say} below ${mark.name}.`}>
        <rect x={30} y={ground ?? y(0)} width={casing.left - 30} height={height - (ground ?? y(0))} className="earth" />
        <rect x={casing.right} y={ground ?? y(0)} width={118} height={height - (ground ?? y(0))} className="earth" />
        {ground !== null && <line x1={30} x2={300} y1={ground} y2={ground} className="ground" />}
        <rect x={casing.left} y={y(0)} width={casing.right - casing.left} height={y(bottom) - y(0)} className="bore" />
        {level !== null && (
          <rect
            x={casing.left}
            y={y(level)}
            width={casing.right - casing.left}
            height={Math.max(0, y(bottom) - y(level))}
            className="water"
          />
        )}
        {level !== null && <path d={`M${casing.left} ${y(level)}q6.5 -5 13 0t13 0 13 0 13 0`} className="surface" />}
        {depth !== null && pumping !== null && (
          <line x1={casing.left - 8} x2={casing.right + 8} y1={y(depth)} y2={y(depth)} className="rest" />
        )}
        <line x1={casing.left} x2={casing.left} y1={y(0)} y2={y(bottom)} className="casing" />
        <line x1={casing.right} x2={casing.right} y1={y(0)} y2={y(bottom)} className="casing" />
        {known !== null && <line x1={casing.left - 2} x2={casing.right + 2} y1={y(known)} y2={y(known)} className="casing" />}
        {screen.from !== null &&
          screen.to !== null &&
          [casing.left, casing.right].map((x) => (
            <rect key={x} x={x - 3} y={y(screen.from!)} width={6} height={y(screen.to!) - y(screen.from!)} className="screen" />
          ))}
        {depth !== null && <line x1={middle - 12} x2={middle - 12} y1={y(0) - 18} y2={y(depth)} className="tape" />}
        {intake !== null && (
          <g>
            <rect x={middle + 2} y={y(intake) - 9} width={12} height={18} className="pump" />
            <line x1={middle + 8} x2={middle + 8} y1={y(0) - 18} y2={y(intake) - 9} className="hose" />
          </g>
        )}
        <path d={`M${casing.left - 18} ${y(0) - 7}l15 7-15 7z`} className="mark-point" />
        {purge?.setUp?.aim?.of === 'casing' && <Volumes aim={purge.setUp.aim} purge={purge} top={y(depth ?? 0)} bottom={y(bottom)} unit={volumeUnit} />}
        <g className="scale">
          <text x={casing.left - 24} y={y(0) + 5} textAnchor="end">
            mark
          </text>
          <text x={casing.left - 10} y={(ground ?? y(0)) + (ground === null ? 26 : 20)} textAnchor="end">
            {ground === null ? 'ground not known' : 'ground'}
          </text>
          {screen.from !== null && screen.to !== null && (
            <>
              <text x={casing.left - 10} y={(y(screen.from) + y(screen.to)) / 2 + 5} textAnchor="end">
                screen
              </text>
              <text x={casing.right + 10} y={y(screen.from) + 5}>
                {shown(screen.from)}
              </text>
              {Math.abs(y(screen.to) - y(bottom)) > 16 && (
                <text x={casing.right + 10} y={y(screen.to) + 3}>
                  {shown(screen.to)}
                </text>
              )}
            </>
          )}
          {known === null ? (
            <text x={casing.right + 10} y={y(bottom) + 5}>
              bottom not known
            </text>
          ) : (
            <>
              <text x={casing.right + 10} y={y(known) + 14}>
                {shown(known)}
              </text>
              <text x={casing.left - 10} y={y(known) + 5} textAnchor="end">
                bottom
              </text>
            </>
          )}
          {depth !== null && (
            <text x={casing.right + 10} y={y(depth) + 5} className="strong">
              {shown(depth)}
            </text>
          )}
        </g>
      </svg>
      {depth !== null && known !== null && depth > known && (
        <figcaption className="small">The level typed lies below the drawing.</figcaption>
      )}
    </figure>
  );
}

/** What was pumped against what is to be removed, one box a volume, each as high as the water column. */
function Volumes({
  aim,
  purge,
  top: from,
  bottom: to,
  unit,
}: {
  aim: PurgeAim;
  purge: PurgeState;
  top: number;
  bottom: number;
  unit: UnitId;
}) {
  const { volumes, oneVolume } = aim;
  const whole = Math.ceil(Math.max(volumes, Math.min(purge.volumesDone, 6)));
  const step = Math.min(26, 78 / whole);
  return (
    <g aria-hidden="true">
      {Array.from({ length: whole }, (_, index) => {
        const share = Math.max(0, Math.min(1, purge.volumesDone - index));
        const x = 274 + index * step;
        return (
          <g key={index}>
            <rect x={x} y={from} width={step - 4} height={to - from} className="volume-box" />
            <rect
              x={x}
              y={to - (to - from) * share}
              width={step - 4}
              height={(to - from) * share}
              className={index < volumes ? 'volume-full' : 'volume-more'}
            />
          </g>
        );
      })}
      <text x={274} y={from - 8} className="volume-text">
        {volumes} × {showNumber(fromBase(oneVolume.value, unit), 1)} {unitLabel(unit)}
      </text>
    </g>
  );
}

import type { PurgeAim, PurgeState } from '@fonte/core/purge';
import type { MeasuringPoint, Well } from '@fonte/core/registers';
import { base, fromBase, showNumber, unitLabel, type UnitId } from '@fonte/core/units';
import { useUnitSystem } from '../../units/system.ts';
import { Construction } from './Construction.tsx';
import { apart, drawn, halfAt, height, middle, width, type Drawn } from './geometry.ts';
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

/** The well from the measuring point to its bottom, as a driller would draw it, with what the tape says of its water. */
export function WellSection({ well, mark, depth, pumping = null, purge = null }: Props) {
  const {
    units: {
      depth: [unit, decimals],
      volume: [volumeUnit],
    },
  } = useUnitSystem();
  const of = drawn(well, mark, [depth, pumping]);
  const { y, bottom, isBottomKnown, screen } = of;
  const chosen = purge?.setUp?.chosen;
  const hung = chosen && 'intake' in chosen && chosen.intake ? base(chosen.intake) : of.intake;
  const level = pumping ?? depth;
  const shown = (at: number, digits = Math.min(decimals, 2)) => `${showNumber(fromBase(at, unit), digits)} ${unitLabel(unit)}`;
  const say = [
    `Well section: bottom ${isBottomKnown ? `at ${shown(bottom)}` : 'not known'}`,
    ...(screen ? [`screen from ${shown(screen.from)} to ${shown(screen.to)}`] : []),
    ...(of.seal ? [`seal from ${shown(of.seal.from)} to ${shown(of.seal.to)}`] : []),
    ...(of.pack ? [`filter pack from ${shown(of.pack.from)} to ${shown(of.pack.to)}`] : []),
    ...of.layers.flatMap(({ from, to, of: name, water }) =>
      water === 'gives' ? [`${name} that gives water from ${shown(from)} to ${shown(to)}`] : [],
    ),
    depth === null ? 'water level not measured yet' : `water at ${shown(depth, decimals)}`,
  ].join(', ');
  const aim = purge?.setUp?.aim;
  const isCounted = aim?.of === 'casing';
  return (
    <figure className="well-section">
      <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={`${say} below ${mark.name}.`}>
        <Construction of={of}>
          {level !== null && <Water of={of} level={level} />}
          {depth !== null && pumping !== null && (
            <line
              x1={middle - halfAt(of.casing, depth) - 8}
              x2={middle + halfAt(of.casing, depth) + 8}
              y1={y(depth)}
              y2={y(depth)}
              className="rest"
            />
          )}
          {depth !== null && <line x1={middle - 5} x2={middle - 5} y1={y(0) - 20} y2={y(depth)} className="tape" />}
          {hung !== null && (
            <g>
              <line x1={middle + 5} x2={middle + 5} y1={y(0) - 20} y2={y(hung) - 9} className="hose" />
              <rect x={middle} width={10} y={y(hung) - 9} height={18} className="pump" />
            </g>
          )}
        </Construction>
        <path d={`M${middle - of.casing[0]!.half - 18} ${y(0) - 7}l15 7-15 7z`} className="mark-point" />
        {isCounted && <Volumes aim={aim} purge={purge!} top={y(depth ?? 0)} bottom={y(bottom)} unit={volumeUnit} />}
        <Labels of={of} depth={depth} pumping={pumping} shown={shown} decimals={decimals} />
      </svg>
      {depth !== null && isBottomKnown && depth > bottom && (
        <figcaption className="small">The level typed lies below the drawing.</figcaption>
      )}
    </figure>
  );
}

/** The water in the casing, from its level to the bottom. */
function Water({ of: { y, casing, bottom }, level }: { of: Drawn; level: number }) {
  const half = halfAt(casing, level);
  const wave = half / 2;
  return (
    <>
      {casing
        .filter((piece) => piece.to > level)
        .map((piece) => {
          const top = Math.max(piece.from, level);
          return (
            <rect
              key={piece.from}
              x={middle - piece.half}
              width={2 * piece.half}
              y={y(top)}
              height={Math.max(0, y(Math.min(piece.to, bottom)) - y(top))}
              className="water"
            />
          );
        })}
      <path d={`M${middle - half} ${y(level)}q${wave / 2} -5 ${wave} 0t${wave} 0 ${wave} 0 ${wave} 0`} className="surface" />
    </>
  );
}

/** What stands where: names on the left, depths on the right. */
function Labels({
  of: { y, ground, bottom, isBottomKnown, casing, screen, pack, seal, bore, layers },
  depth,
  pumping,
  shown,
  decimals,
}: {
  of: Drawn;
  depth: number | null;
  pumping: number | null;
  shown: (at: number, digits?: number) => string;
  decimals: number;
}) {
  const half = bore ?? Math.max(...casing.map((piece) => piece.half));
  const centre = ({ from, to }: { from: number; to: number }) => (y(from) + y(to)) / 2;
  const names = apart([
    { y: y(0), text: 'mark' },
    { y: y(ground ?? 0) + (ground === null ? 22 : 12), text: ground === null ? 'ground not known' : 'ground' },
    ...(seal ? [{ y: centre({ from: Math.max(seal.from, ground ?? 0), to: seal.to }), text: seal.of ? `seal: ${seal.of}` : 'seal' }] : []),
    ...(pack ? [{ y: screen ? (y(pack.from) + y(Math.max(screen.from, pack.from))) / 2 : centre(pack), text: 'pack' }] : []),
    ...(screen ? [{ y: centre(screen), text: 'screen' }] : []),
    { y: y(bottom), text: isBottomKnown ? 'bottom' : '' },
  ]);
  const depths = apart([
    ...(seal ? [{ y: y(seal.to), text: shown(seal.to) }] : []),
    ...(screen
      ? [
          { y: y(screen.from), text: shown(screen.from) },
          { y: y(screen.to), text: shown(screen.to) },
        ]
      : []),
    { y: y(bottom), text: isBottomKnown ? shown(bottom) : 'bottom not known' },
    ...layers.map(({ from, of }) => ({ y: y(from) + 12, text: of, className: 'layer-name' })),
    ...(depth === null ? [] : [{ y: y(depth), text: shown(depth, decimals), className: 'strong' }]),
    ...(pumping === null || (depth !== null && Math.abs(y(pumping) - y(depth)) < 4)
      ? []
      : [{ y: y(pumping), text: shown(pumping, decimals) }]),
  ]);
  return (
    <g className="scale">
      {names.map(({ y: at, text }) => (
        <text
          key={text}
          className={text === 'mark' ? 'outside' : undefined}
          x={text === 'mark' ? middle - casing[0]!.half - 22 : middle - half - 10}
          y={at + 5}
          textAnchor="end"
        >
          {text}
        </text>
      ))}
      {depths.map(({ y: at, text, ...how }) => (
        <text key={`${text} ${at}`} x={middle + half + 10} y={at + 5} className={'className' in how ? how.className : undefined}>
          {text}
        </text>
      ))}
    </g>
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
  const step = Math.min(18, 54 / whole);
  return (
    <g aria-hidden="true">
      {Array.from({ length: whole }, (_, index) => {
        const share = Math.max(0, Math.min(1, purge.volumesDone - index));
        const x = 304 + index * step;
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
      <text x={358} y={to + 16} textAnchor="end" className="volume-text">
        {volumes} × {showNumber(fromBase(oneVolume.value, unit), 1)} {unitLabel(unit)}
      </text>
    </g>
  );
}

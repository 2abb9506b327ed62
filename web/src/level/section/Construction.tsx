import { halfAt, height, middle, type Drawn } from './geometry.ts';

const sides = [-1, 1] as const;
/** px between the slots of a screen, and the thickness of a wall. */
const [slot, wall] = [9, 4];

/** A band on both sides of the casing, out to the bore. */
function Annulus({ of: { y, casing, bore }, from, to, className }: { of: Drawn; from: number; to: number; className: string }) {
  if (bore === null) return null;
  return casing
    .filter((piece) => piece.to > from && piece.from < to)
    .map((piece) => {
      const [top, foot] = [Math.max(from, piece.from), Math.min(to, piece.to)];
      return sides.map((side) => (
        <rect
          key={`${piece.from} ${side}`}
          x={side < 0 ? middle - bore : middle + piece.half}
          width={bore - piece.half}
          y={y(top)}
          height={y(foot) - y(top)}
          className={className}
        />
      ));
    });
}

/** What the driller left in the ground: bore with its fill, seal and pack; casing, screen and foot. The water comes in between. */
export function Construction({ of, children }: { of: Drawn; children: React.ReactNode }) {
  const { y, ground, bottom, isBottomKnown, bore, casing, screen, pack, seal, layers } = of;
  const surface = ground ?? 0;
  const edge = (depth: number) => bore ?? halfAt(casing, depth);
  const deepest = Math.max(bottom, pack?.to ?? 0);
  // Ground that reaches below what is drawn to scale is drawn to the edge.
  const foot = (depth: number) => (depth >= of.deepest ? height : y(depth));
  return (
    <>
      <defs>
        <pattern id="well-pack" width="7" height="7" patternUnits="userSpaceOnUse">
          <circle cx="1.8" cy="2" r="1.3" className="grain" />
          <circle cx="5.4" cy="5.3" r="1.3" className="grain" />
        </pattern>
        <pattern id="well-gives" width="14" height="12" patternUnits="userSpaceOnUse">
          <circle cx="3" cy="3" r="1.6" className="gives" />
          <circle cx="10" cy="9" r="1.6" className="gives" />
        </pattern>
        <pattern id="well-holds" width="16" height="10" patternUnits="userSpaceOnUse">
          <path d="M1 3h8M9 8h7" className="holds" />
        </pattern>
        <pattern id="well-seal" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" x2="0" y1="0" y2="6" className="clay" />
        </pattern>
      </defs>
      {sides.map((side) => (
        <rect
          key={side}
          x={side < 0 ? 30 : middle + edge(surface)}
          width={side < 0 ? middle - edge(surface) - 30 : 300 - middle - edge(surface)}
          y={y(surface)}
          height={height - y(surface)}
          className="earth"
        />
      ))}
      {/* Below the bore the ground goes on. */}
      {isBottomKnown && (
        <rect x={middle - edge(bottom) - 1} width={2 * edge(bottom) + 2} y={y(deepest)} height={height - y(deepest)} className="earth" />
      )}
      {layers.map((layer, place) => (
        <g key={place}>
          {layer.water && (
            <rect x={30} width={270} y={y(layer.from)} height={foot(layer.to) - y(layer.from)} className={`layer-${layer.water}`} />
          )}
          {place > 0 && <line x1={30} x2={300} y1={y(layer.from)} y2={y(layer.from)} className="layer-edge" />}
        </g>
      ))}
      <Annulus of={of} from={surface} to={deepest} className="fill" />
      {seal && <Annulus of={of} from={Math.max(seal.from, surface)} to={seal.to} className="seal-ground" />}
      {seal && <Annulus of={of} from={Math.max(seal.from, surface)} to={seal.to} className="seal" />}
      {pack && <Annulus of={of} from={pack.from} to={Math.min(pack.to, bottom)} className="pack-ground" />}
      {pack && <Annulus of={of} from={pack.from} to={Math.min(pack.to, bottom)} className="pack" />}
      {bore !== null && pack && pack.to > bottom && (
        <rect x={middle - bore} width={2 * bore} y={y(bottom)} height={y(pack.to) - y(bottom)} className="pack" />
      )}
      {casing.map((piece) => (
        <rect
          key={piece.from}
          x={middle - piece.half}
          width={2 * piece.half}
          y={y(piece.from)}
          height={y(piece.to) - y(piece.from)}
          className="bore"
        />
      ))}
      {children}
      {ground !== null && (
        <>
          <line x1={30} x2={middle - edge(ground)} y1={y(ground)} y2={y(ground)} className="ground" />
          <line x1={middle + edge(ground)} x2={300} y1={y(ground)} y2={y(ground)} className="ground" />
          {/* A slab that falls away from the casing. */}
          {ground > 0 &&
            sides.map((side) => {
              const at = middle + side * (casing[0]!.half + wall / 2);
              return <path key={side} d={`M${at} ${y(ground) - 7}l${side * 30} 5v4h${-side * 30}z`} className="slab" />;
            })}
        </>
      )}
      {casing.map((piece, place) =>
        sides.map((side) => {
          const x = middle + side * piece.half;
          // A casing of telescoped ones begins a little above where the wider one ends.
          const top = place === 0 ? piece.from : piece.from - 0.015 * bottom;
          return <line key={`${piece.from} ${side}`} x1={x} x2={x} y1={y(top)} y2={y(piece.to)} className="casing" />;
        }),
      )}
      {casing
        .slice(1)
        .map((piece, place) =>
          sides.map((side) => (
            <line
              key={`${piece.from} ${side}`}
              x1={middle + side * piece.half}
              x2={middle + side * casing[place]!.half}
              y1={y(piece.from)}
              y2={y(piece.from)}
              className="casing"
            />
          )),
        )}
      {screen &&
        sides.map((side) => {
          const [top, foot] = [y(screen.from), y(screen.to)];
          const count = Math.max(2, Math.floor((foot - top) / slot));
          const x = middle + side * halfAt(casing, screen.from);
          return (
            <g key={side}>
              <rect x={x - wall / 2} width={wall} y={top} height={foot - top} className="screen" />
              {Array.from({ length: count }, (_, place) => (
                <line
                  key={place}
                  x1={x - 4}
                  x2={x + 4}
                  y1={top + (place + 0.5) * ((foot - top) / count)}
                  y2={top + (place + 0.5) * ((foot - top) / count)}
                  className="slot"
                />
              ))}
            </g>
          );
        })}
      {isBottomKnown && (
        <line
          x1={middle - halfAt(casing, bottom) - 2}
          x2={middle + halfAt(casing, bottom) + 2}
          y1={y(bottom)}
          y2={y(bottom)}
          className="casing"
        />
      )}
    </>
  );
}

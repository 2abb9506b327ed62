import type { Point } from '@fonte/core/registers';
import { usualResidualMinimum } from '@fonte/core/tap';
import { fromBase, type Typed, type UnitId } from '@fonte/core/units';

/** What the form of a point holds: as the register has it, with lengths as they are typed. */
export interface PointValues {
  id: string;
  type: Point['type'];
  code: string;
  name: string;
  place: string;
  use: Point['use'];
  access: string;
  tap: { outlet: string; isChlorinated: boolean; residualMinimum: Typed };
  well: {
    measuringPoints: { name: string; elevation: Typed; stickUp: Typed }[];
    bottom: Typed;
    screenTop: Typed;
    screenBottom: Typed;
    insideDiameter: Typed;
    pipe?: string;
    intake: Typed;
  };
}

/** As many digits as a length needs to come back as it was. */
const typed = (metres: number | undefined, unit: UnitId): Typed => ({
  text: metres === undefined ? '' : String(Number(fromBase(metres, unit).toFixed(6))),
  unit,
});

export const emptyMark = (): PointValues['well']['measuringPoints'][number] => ({
  name: '',
  elevation: typed(undefined, 'm'),
  stickUp: typed(undefined, 'm'),
});

export function valuesOf(point: Point | null, freshId: () => string): PointValues {
  const well = point?.type === 'well' ? point.well : null;
  const tap = point?.type === 'tap' ? point.tap : null;
  return {
    id: point?.id ?? freshId(),
    type: point?.type ?? 'well',
    code: point?.code ?? '',
    name: point?.name ?? '',
    place: point?.place ?? '',
    use: point?.use ?? 'monitoring',
    access: point?.access ?? '',
    tap: {
      outlet: tap?.outlet ?? '',
      isChlorinated: tap ? tap.residualMinimum !== null : true,
      residualMinimum: { text: String(tap?.residualMinimum ?? usualResidualMinimum), unit: 'mg/L' },
    },
    well: {
      measuringPoints: well
        ? well.measuringPoints.map(({ name, elevation, stickUp }) => ({
            name,
            elevation: typed(elevation, 'm'),
            stickUp: typed(stickUp, 'm'),
          }))
        : [{ ...emptyMark(), name: 'North rim of the casing' }],
      bottom: typed(well?.bottom, 'm'),
      screenTop: typed(well?.screenTop, 'm'),
      screenBottom: typed(well?.screenBottom, 'm'),
      insideDiameter: typed(well?.insideDiameter, 'mm'),
      ...(well?.pipe ? { pipe: well.pipe } : {}),
      intake: typed(well?.intake, 'm'),
    },
  };
}

interface Based {
  type: Point['type'];
  access?: string;
  tap?: { outlet?: string; isChlorinated?: boolean; residualMinimum?: number };
  well?: object;
}

/** The point as the register has it: only what is of its type. */
export function pointOf(values: object): object {
  const { tap, well, ...shared } = values as Based;
  if (shared.type === 'well') return { access: '', ...shared, well };
  // mg/L is what the register keeps: a typed one comes in its base unit, which is the same.
  const residualMinimum = tap?.isChlorinated ? tap.residualMinimum : null;
  return { access: '', ...shared, tap: { outlet: tap?.outlet, residualMinimum } };
}

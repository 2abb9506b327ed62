import { refOf } from '@fonte/core/editions';
import {
  classicDrawdown,
  criteria,
  criterionOf,
  PurgeChoice,
  refOfOwn,
  type Criterion,
  type ProbeParameter,
  type PumpId,
  type PurgeMethodId,
  type PurgeState,
  type PurgeWaterTo,
} from '@fonte/core/purge';
import type { AgreedLevel } from '@fonte/core/level';
import { belowMark, type OwnCriterion, type WellPoint } from '@fonte/core/registers';
import { fromBase, showNumber, type Typed, type UnitId } from '@fonte/core/units';
import { asTyped, type Read } from '../../form/values.ts';

/** What is typed to set a purge up, for whichever method. */
export interface SetUpDraft {
  method: PurgeMethodId;
  ranBefore: boolean;
  pipe: string;
  insideDiameter: Typed;
  /** Bottom below the mark, where the register does not know it. */
  bottom: Typed;
  volumes: number;
  withPack: boolean;
  pump: PumpId | '';
  intake: Typed;
  water: PurgeWaterTo | '';
  tubing: Typed;
  tubingInside: Typed;
  pumpHolds: Typed;
  cellHolds: Typed;
  mostDrawdown: Typed;
  recover: number;
  sampler: '' | 'passive' | 'other';
  reason: string;
  criterion: string;
  parameters: ProbeParameter[];
}

/** The fields that a method asks for: those of its payload, and nothing of another. */
export function askedBy(method: PurgeMethodId): readonly (keyof SetUpDraft)[] {
  const option = PurgeChoice.options.find(({ shape }) => shape.method.value === method)!;
  return Object.keys(option.shape).filter((key) => key !== 'own') as (keyof SetUpDraft)[];
}

/** The payload of a draft; `own` are the criteria of the house. */
export function readSetUp(draft: SetUpDraft, { asksBottom, own }: { asksBottom: boolean; own: readonly OwnCriterion[] }): Read {
  const asked = askedBy(draft.method).filter((key) => (key !== 'bottom' || asksBottom) && (key !== 'withPack' || draft.withPack));
  const said = Object.fromEntries(asked.map((key) => [key, draft[key]]));
  const chosen = own.find((one) => refOfOwn(one) === draft.criterion);
  const { value, problems } = asTyped(said, PurgeChoice);
  return { value: chosen && asked.includes('criterion') ? { ...(value as object), own: chosen } : value, problems };
}

/** The criterion of a name among the published ones and those of the house; null where there is none. */
export function ruleNamed(name: string, own: readonly OwnCriterion[]): Criterion | null {
  const house = own.find((one) => refOfOwn(one) === name);
  return house ? criterionOf(house) : criteria.find(name);
}

/** What the form shows at first: what stands, else what the register knows of the well. */
export function setUpAtFirst(
  purge: PurgeState | null,
  { well, use }: WellPoint,
  agreed: AgreedLevel | null,
  { diameter: [unit, decimals], depth: [depthUnit] }: { diameter: [UnitId, number]; depth: [UnitId, number] },
): SetUpDraft {
  const given = purge?.setUp?.chosen;
  const length = depthUnit === 'ft' ? 'ft' : 'm';
  const empty = (of: UnitId): Typed => ({ text: '', unit: of });
  const typed = (metres: number, of: UnitId, digits: number): Typed => ({ text: showNumber(fromBase(metres, of), digits), unit: of });
  const mark = well.measuringPoints.find(({ name }) => name === agreed?.measuringPoint);
  const [top, end, usual] = mark ? [well.screenTop, well.screenBottom, well.intake].map((one) => belowMark(mark, one)) : [];
  const middle = top != null && end != null ? (top + end) / 2 : null;
  const intake = usual ?? middle;
  return {
    method: agreed || use === 'monitoring' ? 'volumes' : 'running',
    ranBefore: false,
    pipe: well.pipe ?? '',
    insideDiameter: well.insideDiameter === undefined ? empty(unit) : typed(well.insideDiameter, unit, decimals),
    bottom: empty(length),
    volumes: 3,
    withPack: false,
    pump: '',
    intake: intake == null ? empty(length) : typed(intake, length, 2),
    water: '',
    tubing: empty(length),
    tubingInside: empty(unit),
    pumpHolds: empty('mL'),
    cellHolds: empty('mL'),
    mostDrawdown: typed(classicDrawdown, length, 2),
    recover: 80,
    sampler: '',
    reason: '',
    criterion: refOf(criteria.newest[0]!),
    parameters: ['temperature', 'ph', 'conductivity', 'oxygen', 'turbidity'],
    ...given,
  };
}

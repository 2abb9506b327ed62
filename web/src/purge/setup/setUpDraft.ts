import { refOf } from '@fonte/core/editions';
import {
  classicDrawdown,
  criteria,
  criterionOf,
  PurgeChoice,
  refOfOwn,
  type Criterion,
  type EarlierSetUp,
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
  /** `own` is the pump that stays in the well. */
  pump: PumpId | 'own' | '';
  intake: Typed;
  water: PurgeWaterTo | '';
  /** A drive train by its parts, or as one number. */
  drive: 'parts' | 'whole';
  holdsInAll: Typed;
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
  return Object.keys(option.shape).filter((key) => key !== 'own' && key !== 'pumpNamed') as (keyof SetUpDraft)[];
}

const parts: readonly (keyof SetUpDraft)[] = ['tubing', 'tubingInside', 'pumpHolds', 'cellHolds'];

interface Around {
  asksBottom: boolean;
  /** The criteria of the house. */
  own: readonly OwnCriterion[];
  ownPump: WellPoint['well']['ownPump'];
}

/** The payload of a draft. */
export function readSetUp(draft: SetUpDraft, { asksBottom, own, ownPump }: Around): Read {
  const left: readonly (keyof SetUpDraft)[] = [
    ...(asksBottom ? [] : (['bottom'] as const)),
    ...(draft.withPack ? [] : (['withPack'] as const)),
    ...(draft.drive === 'whole' ? parts : (['holdsInAll'] as const)),
  ];
  const asked = askedBy(draft.method).filter((key) => !left.includes(key));
  const isOwn = asked.includes('pump') && draft.pump === 'own';
  const pumped = isOwn ? (ownPump ? { pump: ownPump.kind, pumpNamed: ownPump.name } : { pump: '' }) : {};
  const said = { ...Object.fromEntries(asked.map((key) => [key, draft[key]])), ...pumped };
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
    drive: 'parts',
    holdsInAll: empty('mL'),
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
    ...(given ? draftOf(given, well.ownPump) : {}),
  };
}

/** What a set-up that was written down fills in. */
export function draftOf(chosen: PurgeChoice, ownPump: WellPoint['well']['ownPump']): Partial<SetUpDraft> {
  const { own: _, pumpNamed, ...rest } = chosen as Partial<SetUpDraft> & { own?: unknown; pumpNamed?: string };
  return {
    ...rest,
    ...(rest.holdsInAll ? { drive: 'whole' } : {}),
    // A pump that is there no more is only its kind.
    ...(pumpNamed !== undefined && pumpNamed === ownPump?.name ? { pump: 'own' } : {}),
  };
}

/** The same of an earlier visit: depths below another mark are left as they are, and a newer edition of its criterion takes its place. */
export function draftFrom(
  { chosen, mark }: EarlierSetUp,
  { mark: now, own, ownPump }: { mark: string | null; own: readonly OwnCriterion[]; ownPump: WellPoint['well']['ownPump'] },
): Partial<SetUpDraft> {
  const { intake, bottom: _, criterion, ...rest } = draftOf(chosen, ownPump);
  const newest = criteria.newest.find(({ id }) => criterion?.startsWith(`${id}@`));
  const rule = newest ? refOf(newest) : own.some((one) => refOfOwn(one) === criterion) ? criterion : undefined;
  return { ...rest, ...(intake && mark === now ? { intake } : {}), ...(rule === undefined ? {} : { criterion: rule }) };
}

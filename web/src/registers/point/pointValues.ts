import type { Contact, Layer, Point, PointKind, TapPoint, Well } from '@fonte/core/registers';
import type { Typed } from '@fonte/core/units';
import { typedOf } from '../../form/values.ts';

/** What the form of a point holds: as the register has it, with lengths as they are typed. */
export interface PointValues {
  id: string;
  type: Point['type'];
  code: string;
  name: string;
  place: string;
  use: Point['use'];
  access: string;
  kind?: PointKind | undefined;
  water?: Point['water'];
  source?: Point['source'];
  disinfection?: Point['disinfection'];
  system: string;
  zone: string;
  building: string;
  room: string;
  floor: string;
  position: { latitude: Typed; longitude: Typed };
  walk: Typed;
  hazards: string[];
  surroundings: string[];
  traits: string[];
  alternatives: string[];
  contacts: ContactValues[];
  siting: { says: 'nothing' | 'routine' | 'not-routine'; number: string };
  outOfUse: { is: boolean; reason: string; lookAgain: string };
  tap: { outlet: string; residualMinimum: Typed };
  well: {
    measuringPoints: { name: string; elevation: Typed; stickUp: Typed; datum: string; until: string }[];
    bottom: Typed;
    screenTop: Typed;
    screenBottom: Typed;
    insideDiameter: Typed;
    pipe?: string;
    intake: Typed;
    ownPump: { name: string; kind?: string };
    bore: Typed;
    narrower: { from: Typed; insideDiameter: Typed }[];
    pack: { from: Typed; to: Typed; porosity: Typed };
    seal: { from: Typed; to: Typed; of: string };
    layers: { to: Typed; of: string; water?: Layer['water'] }[];
  };
}

/** Somebody to call, with the hours that the form shows; whatever else is known of them stays as it was. */
export interface ContactValues {
  name: string;
  call: string;
  weekdays: number[];
  from: string;
  to: string;
  more?: Contact['windows'];
}

export const emptyMark = (): PointValues['well']['measuringPoints'][number] => ({
  name: '',
  elevation: typedOf(undefined, 'm'),
  stickUp: typedOf(undefined, 'm'),
  datum: '',
  until: '',
});

export const emptyLayer = (): PointValues['well']['layers'][number] => ({ to: typedOf(undefined, 'm'), of: '' });

export const emptyNarrower = (): PointValues['well']['narrower'][number] => ({
  from: typedOf(undefined, 'm'),
  insideDiameter: typedOf(undefined, 'mm'),
});

export const emptyContact = (): ContactValues => ({ name: '', call: '', weekdays: [], from: '', to: '' });

const contactValues = ({ name, call = '', windows = [] }: Contact): ContactValues => {
  const [first, ...more] = windows;
  return {
    name,
    call,
    weekdays: first?.weekdays ?? [],
    from: first?.from ?? '',
    to: first?.to ?? '',
    ...(more.length > 0 ? { more } : {}),
  };
};

const wellValues = (well: Partial<Well>): PointValues['well'] => ({
  measuringPoints: (well.measuringPoints ?? []).map(({ name, elevation, stickUp, datum = '', until = '' }) => ({
    name,
    datum,
    until,
    elevation: typedOf(elevation, 'm'),
    stickUp: typedOf(stickUp, 'm'),
  })),
  bottom: typedOf(well.bottom, 'm'),
  screenTop: typedOf(well.screenTop, 'm'),
  screenBottom: typedOf(well.screenBottom, 'm'),
  insideDiameter: typedOf(well.insideDiameter, 'mm'),
  ...(well.pipe ? { pipe: well.pipe } : {}),
  intake: typedOf(well.intake, 'm'),
  ownPump: well.ownPump ?? { name: '' },
  bore: typedOf(well.bore, 'mm'),
  narrower: (well.narrower ?? []).map(({ from, insideDiameter }) => ({
    from: typedOf(from, 'm'),
    insideDiameter: typedOf(insideDiameter, 'mm'),
  })),
  pack: { from: typedOf(well.pack?.from, 'm'), to: typedOf(well.pack?.to, 'm'), porosity: typedOf(well.pack?.porosity, '1') },
  seal: { from: typedOf(well.seal?.from, 'm'), to: typedOf(well.seal?.to, 'm'), of: well.seal?.of ?? '' },
  layers: (well.layers ?? []).map(({ to, of, water }) => ({ to: typedOf(to, 'm'), of, ...(water ? { water } : {}) })),
});

const newWell = (): PointValues['well'] => ({ ...wellValues({}), measuringPoints: [{ ...emptyMark(), name: 'North rim of the casing' }] });

const tapValues = ({ outlet = '', residualMinimum }: Partial<TapPoint['tap']>): PointValues['tap'] => ({
  outlet,
  residualMinimum: { text: residualMinimum == null ? '' : String(residualMinimum), unit: 'mg/L' },
});

/** Where a point is, and what is around it. */
const placeValues = ({
  place = '',
  system = '',
  zone = '',
  building = '',
  room = '',
  floor = '',
  access = '',
  position,
  walk,
  hazards = [],
  surroundings = [],
  traits = [],
  alternatives = [],
  contacts = [],
}: Partial<Point>) => ({
  place,
  system,
  zone,
  building,
  room,
  floor,
  access,
  position: { latitude: typedOf(position?.latitude, 'deg'), longitude: typedOf(position?.longitude, 'deg') },
  walk: typedOf(walk, 'min'),
  hazards,
  surroundings,
  traits,
  alternatives,
  contacts: contacts.map(contactValues),
});

/** Whether routine samples are taken there, and whether it is used at all. */
const standingValues = ({ siting, outOfUse }: Partial<Point>): Pick<PointValues, 'siting' | 'outOfUse'> => ({
  siting: {
    says: siting === undefined ? 'nothing' : siting.isRoutine ? 'routine' : 'not-routine',
    number: siting?.number ?? '',
  },
  outOfUse: { is: outOfUse !== undefined, reason: outOfUse?.reason ?? '', lookAgain: outOfUse?.lookAgain ?? '' },
});

/** What a point is and is called. */
const namedValues = ({ type = 'well', code = '', name = '', use = 'monitoring', kind, water, source }: Partial<Point>) => ({
  type,
  code,
  name,
  use,
  kind,
  water,
  source,
});

export function valuesOf(point: Point | null, freshId: () => string): PointValues {
  const tap = point?.type === 'tap' ? point.tap : null;
  return {
    id: point?.id ?? freshId(),
    ...namedValues(point ?? {}),
    // Of a point of before, no residual was how it was said.
    disinfection: point?.disinfection ?? (tap?.residualMinimum === null ? 'none' : undefined),
    ...placeValues(point ?? {}),
    ...standingValues(point ?? {}),
    tap: tapValues(tap ?? {}),
    well: point?.type === 'well' ? wellValues(point.well) : newWell(),
  };
}

interface Based {
  position?: object;
  hazards?: string[];
  surroundings?: string[];
  traits?: string[];
  alternatives?: string[];
  contacts?: { name?: string; call?: string; weekdays?: number[]; from?: string; to?: string; more?: object[] }[];
  siting?: { says?: string; number?: string };
  outOfUse?: { is?: boolean; reason?: string; lookAgain?: string };
  type: Point['type'];
  disinfection?: string;
  access?: string;
  tap?: { outlet?: string; residualMinimum?: number };
  well?: { ownPump?: object; narrower?: object[]; pack?: object; seal?: object; layers?: object[] };
}

/** What is not empty, under its name. */
const given = (name: string, value: object | undefined): object => {
  const isEmpty = value === undefined || (Array.isArray(value) ? value.length === 0 : Object.keys(value).length === 0);
  return isEmpty ? {} : { [name]: value };
};

const contactOf = ({ weekdays = [], from, to, more = [], ...who }: NonNullable<Based['contacts']>[number]) => {
  const isSaid = from !== undefined || to !== undefined || weekdays.length > 0;
  const windows = [...(isSaid ? [{ ...(weekdays.length > 0 ? { weekdays } : {}), from, to }] : []), ...more];
  return { ...who, ...given('windows', windows) };
};

/** The point as the register has it: only what is of its type, and only what is said. */
export function pointOf(values: object): object {
  const { tap, well, position, hazards, surroundings, traits, alternatives, contacts, siting, outOfUse, ...rest } = values as Based;
  const { is, ...out } = outOfUse ?? {};
  const shared = {
    access: '',
    ...rest,
    ...given('position', position),
    ...given('hazards', hazards),
    ...given('surroundings', surroundings),
    ...given('traits', traits),
    ...given('alternatives', alternatives),
    ...given('contacts', contacts?.map(contactOf)),
    ...(siting?.says === 'routine' || siting?.says === 'not-routine'
      ? { siting: { isRoutine: siting.says === 'routine', ...(siting.number ? { number: siting.number } : {}) } }
      : {}),
    ...(is ? { outOfUse: out } : {}),
  };
  if (rest.type === 'well') {
    const { ownPump, narrower, pack, seal, layers, ...built } = well ?? {};
    const around = {
      ...given('ownPump', ownPump),
      ...given('narrower', narrower),
      ...given('pack', pack),
      ...given('seal', seal),
      ...given('layers', layers),
    };
    return { ...shared, well: { ...built, ...around } };
  }
  // mg/L is what the register keeps: a typed one comes in its base unit, which is the same.
  const typed = tap?.residualMinimum;
  const residualMinimum = rest.disinfection === 'none' ? null : rest.disinfection === undefined ? (typed ?? null) : typed;
  return { ...shared, tap: { outlet: tap?.outlet, residualMinimum } };
}

/** Where the form shows what is wrong with a point. */
export const fieldOfPoint = (path: string): string => path.replace(/^(contacts\.\d+)\.windows\.0\./, '$1.');

import { z } from 'zod';
import { entryKind, Id } from '../book/index.ts';
import { field } from '../roles/index.ts';
import { Contact, Siting } from './contact.ts';
import { Position } from './position.ts';
import { hazards, type HazardRow } from './tables/hazards.ts';
import { surroundings } from './tables/surroundings.ts';
import { pointKinds } from './tables/point-kinds.ts';
import { traits } from './tables/traits.ts';
import { Well } from './well.ts';

/** An outlet that is sampled. */
export const Tap = z.object({
  outlet: z.string().trim().min(1).max(120).meta({ title: 'Which outlet exactly' }),
  /** Least free chlorine in mg/L that the operator keeps here; null where the water is not chlorinated. */
  residualMinimum: z
    .number()
    .min(0)
    .max(5)
    .meta({ title: 'Least free chlorine', units: ['mg/L'] })
    .nullable(),
});
export type Tap = z.infer<typeof Tap>;

export type PointKind = keyof typeof pointKinds;
export const pointKindIds = Object.keys(pointKinds) as [PointKind, ...PointKind[]];
export const pointKind = (kind: PointKind) => pointKinds[kind];

export type SurroundingId = keyof typeof surroundings;
export const surroundingIds = Object.keys(surroundings) as [SurroundingId, ...SurroundingId[]];
export const surrounding = (id: SurroundingId): { name: string } => surroundings[id];

export type TraitId = keyof typeof traits;
export const traitIds = Object.keys(traits) as [TraitId, ...TraitId[]];
export const trait = (id: TraitId): { name: string } => traits[id];

export type HazardId = keyof typeof hazards;
export const hazardIds = Object.keys(hazards) as [HazardId, ...HazardId[]];
export const hazard = (id: HazardId): HazardRow => hazards[id];

const first = {
  /** The point's own book. */
  id: Id,
  /** Short code that goes on labels. */
  code: z
    .string()
    .trim()
    .max(8)
    .regex(/^[A-Z0-9]{2,8}$/, { error: '2 to 8 capital letters or digits.' })
    .meta({ title: 'Code for labels' }),
  name: z.string().trim().min(1, { error: 'Give it a name.' }).max(120).meta({ title: 'Name' }),
  place: z.string().trim().min(1, { error: 'Say where it is.' }).max(120).meta({ title: 'Place' }),
  /** `supply` water is drunk; `monitoring` water is not, and limits are only a comparison. */
  use: z.enum(['supply', 'monitoring']).meta({ title: 'Use' }),
  access: z.string().max(500).meta({ title: 'The way in, what to bring' }).default(''),
};

const short = (title: string) => z.string().trim().min(1).max(80).meta({ title }).optional();

/** What water it is, where that is known. */
export const waters = { raw: 'Raw', treated: 'Treated', private: 'Private', irrigation: 'Irrigation', stock: 'Stock' } as const;
/** Where the water comes from. */
export const sources = {
  groundwater: 'Groundwater',
  'under-surface-influence': 'Groundwater under the influence of surface water',
  surface: 'Surface water',
} as const;
/** How the water is disinfected. */
export const disinfections = {
  none: 'Not disinfected',
  'free-chlorine': 'Free chlorine',
  chloramine: 'Chloramine',
  temporary: 'Chlorinated for a time',
} as const;

const oneOf = <T extends object>(table: T, title: string) =>
  z
    .enum(Object.keys(table) as [keyof T & string, ...(keyof T & string)[]])
    .meta({ title })
    .optional();

const shared = {
  ...first,
  kind: z.enum(pointKindIds).meta({ title: 'Which kind' }),
  water: oneOf(waters, 'Water'),
  source: oneOf(sources, 'Source'),
  disinfection: oneOf(disinfections, 'Disinfection'),
  system: short('Supply system'),
  zone: short('Zone'),
  building: short('Building'),
  /** Taps of one room are flushed together. */
  room: short('Room'),
  floor: short('Floor'),
  position: Position.optional(),
  /** On foot from where the van stands, in s. */
  walk: z
    .number()
    .min(0, { error: 'Cannot be negative.' })
    .max(36_000, { error: 'Cannot be more than 10 hours.' })
    .meta({ title: 'On foot from the van', units: ['min'] })
    .optional(),
  hazards: z.array(z.enum(hazardIds)).max(hazardIds.length).meta({ title: 'What may hurt here' }).optional(),
  /** What lies about it and may come into its water. */
  surroundings: z.array(z.enum(surroundingIds)).max(surroundingIds.length).meta({ title: 'What lies about it' }).optional(),
  traits: z.array(z.enum(traitIds)).max(traitIds.length).meta({ title: 'What is special about it' }).optional(),
  contacts: z.array(Contact).max(6).optional(),
  /** Points that are taken instead where this one is not fit, the best first. */
  alternatives: z.array(Id).max(5).meta({ title: 'Instead, where it is not fit' }).optional(),
  siting: Siting.optional(),
  /** It is not sampled now, and when to look again. */
  outOfUse: z
    .object({
      reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).meta({ title: 'Why it is out of use' }),
      lookAgain: z.iso.date({ error: 'A date such as 2026-11-23.' }).meta({ title: 'Look again on' }).optional(),
    })
    .optional(),
};

const fitsItsType = (point: { type: 'well' | 'tap'; kind: PointKind }, issues: z.RefinementCtx) => {
  if (pointKind(point.kind).type !== point.type)
    issues.addIssue({ code: 'custom', path: ['kind'], message: point.type === 'well' ? 'That is no well.' : 'That is a well.' });
};

/** A place where water is measured or taken. */
export const Point = z
  .discriminatedUnion('type', [
    z.object({ ...shared, type: z.literal('well'), well: Well }),
    z.object({ ...shared, type: z.literal('tap'), tap: Tap }),
  ])
  .superRefine(fitsItsType);
export type Point = z.infer<typeof Point>;
export type WellPoint = Extract<Point, { type: 'well' }>;
export type TapPoint = Extract<Point, { type: 'tap' }>;

/** A point as it was registered before it had a kind, a position and people to ask. */
export const FirstPoint = z.discriminatedUnion('type', [
  z.object({ ...first, type: z.literal('well'), well: Well }),
  z.object({ ...first, type: z.literal('tap'), tap: Tap }),
]);
/** Nobody said which kind it was. */
export const fromFirst = (point: z.infer<typeof FirstPoint>): Point =>
  point.type === 'well' ? { ...point, kind: 'well' } : { ...point, kind: 'outlet' };

export const pointRegistered = entryKind('point-registered', 'Point registered', Point, {
  stands: 'in-book',
  by: field,
  earlier: [
    { payload: FirstPoint, upgrade: fromFirst },
    // What came since, four times, may be left out: what was registered before is a point as it stands.
    { payload: Point, upgrade: (point: Point) => point },
    { payload: Point, upgrade: (point: Point) => point },
    { payload: Point, upgrade: (point: Point) => point },
    { payload: Point, upgrade: (point: Point) => point },
  ],
});

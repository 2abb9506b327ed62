import { z } from 'zod';
import { entryKind, field, Id } from '../book/index.ts';

const metres = z.number().finite();
const depth = metres.min(0, { error: 'Cannot be negative.' }).max(2000, { error: 'Cannot be more than 2000 m.' });

/** A mark from which depths are measured. Where its height or elevation is not known, what follows from it is not told. */
export const MeasuringPoint = z.object({
  name: z.string().trim().min(1).max(80),
  /** Elevation of the mark in m above the datum. */
  elevation: metres.min(-500).max(9000).optional(),
  /** Height of the mark above ground in m; negative in a pit. */
  stickUp: metres.min(-20).max(20).optional(),
});
export type MeasuringPoint = z.infer<typeof MeasuringPoint>;

/**
 * How a well is built, as far as it is known: what is not stays out until it is needed, and is asked for there. Depths are in m
 * below ground; the bottom is where a tape comes to rest.
 */
export const Well = z
  .object({
    measuringPoints: z.array(MeasuringPoint).min(1).max(20),
    bottom: depth.refine((value) => value > 0, { error: 'Must be more than 0.' }).optional(),
    screenTop: depth.optional(),
    screenBottom: depth.optional(),
    /** Row of the pipe table that the casing is made of, if known. */
    pipe: z.string().max(40).optional(),
    /** True inside diameter of the casing in m. */
    insideDiameter: metres.positive({ error: 'Must be more than 0.' }).max(5).optional(),
    /** Depth of the installed or usual pump intake in m below ground. */
    intake: depth.optional(),
  })
  .superRefine((well, issues) => {
    const refuse = (path: string, message: string) => issues.addIssue({ code: 'custom', path: [path], message });
    const { bottom = Infinity, screenTop, screenBottom, intake } = well;
    if ((screenTop === undefined) !== (screenBottom === undefined))
      refuse(screenTop === undefined ? 'screenTop' : 'screenBottom', 'A screen has both ends. Leave both empty where one is not known.');
    if (screenTop !== undefined && screenBottom !== undefined && screenBottom <= screenTop)
      refuse('screenBottom', 'The screen ends below its top.');
    if (screenBottom !== undefined && screenBottom > bottom) refuse('screenBottom', 'The screen ends above the bottom of the well.');
    if (intake !== undefined && intake > bottom) refuse('intake', 'The intake is above the bottom of the well.');
  });
export type Well = z.infer<typeof Well>;

/** An outlet that is sampled. */
export const Tap = z.object({
  outlet: z.string().trim().min(1).max(120),
  /** Least free chlorine in mg/L that the operator keeps here; null where the water is not chlorinated. */
  residualMinimum: z.number().min(0).max(5).nullable(),
});
export type Tap = z.infer<typeof Tap>;

const shared = {
  /** The point's own book. */
  id: Id,
  /** Short code that goes on labels. */
  code: z
    .string()
    .trim()
    .regex(/^[A-Z0-9]{2,8}$/, { error: '2 to 8 capital letters or digits.' }),
  name: z.string().trim().min(1, { error: 'Give it a name.' }).max(120),
  place: z.string().trim().min(1, { error: 'Say where it is.' }).max(120),
  /** `supply` water is drunk; `monitoring` water is not, and limits are only a comparison. */
  use: z.enum(['supply', 'monitoring']),
  access: z.string().max(500).default(''),
};

/** A place where water is measured or taken. */
export const Point = z.discriminatedUnion('type', [
  z.object({ ...shared, type: z.literal('well'), well: Well }),
  z.object({ ...shared, type: z.literal('tap'), tap: Tap }),
]);
export type Point = z.infer<typeof Point>;
export type WellPoint = Extract<Point, { type: 'well' }>;
export type TapPoint = Extract<Point, { type: 'tap' }>;

export const pointRegistered = entryKind('point-registered', 'Point registered', Point, { stands: 'in-book', by: field });

/** A depth in m below ground as one below a measuring point; null where it, or the height of the mark, is not known. */
export function belowMark({ stickUp }: MeasuringPoint, belowGround: number | undefined): number | null {
  return belowGround === undefined || stickUp === undefined ? null : belowGround + stickUp;
}

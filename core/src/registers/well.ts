import { z } from 'zod';

const metres = z.number().finite();
const lengths = ['m', 'ft'] as const;
const depth = (title: string, from = metres.min(0, { error: 'Cannot be negative.' })) =>
  from.max(2000, { error: 'Cannot be more than 2000 m.' }).meta({ title, units: lengths });

/** A mark from which depths are measured. Where its height or elevation is not known, what follows from it is not told. */
export const MeasuringPoint = z.object({
  name: z.string().trim().min(1).max(80).meta({ title: 'Measuring point' }),
  /** Elevation of the mark in m above the datum. */
  elevation: metres.min(-500).max(9000).meta({ title: 'Elevation of the mark', units: lengths }).optional(),
  /** Height of the mark above ground in m; negative in a pit. */
  stickUp: metres.min(-20).max(20).meta({ title: 'Mark above ground', units: lengths }).optional(),
  /** What the elevation is above. */
  datum: z.string().trim().min(1).max(80).meta({ title: 'Datum' }).optional(),
  /** The last day on which it was there: nothing is measured from it any more. */
  until: z.iso.date({ error: 'A date such as 2026-11-23.' }).meta({ title: 'There until' }).optional(),
});
export type MeasuringPoint = z.infer<typeof MeasuringPoint>;

const diameter = (title: string) =>
  metres
    .positive({ error: 'Must be more than 0.' })
    .max(5)
    .meta({ title, units: ['mm', 'in'] });
const span = { from: depth('From, below ground'), to: depth('To, below ground') };

/** A casing that stands within a wider one: from a depth on the well is narrower. */
export const Narrower = z.object({
  from: depth('From, below ground', metres.positive({ error: 'Must be more than 0.' })),
  insideDiameter: diameter('True inside diameter'),
});

/** What a layer of the ground does with water. */
export const layerWaters = { gives: 'Gives water', 'holds-back': 'Holds it back' } as const;

/** A layer that was drilled through, from the one above it or the ground down to a depth. */
export const Layer = z.object({
  to: depth('Down to, below ground', metres.positive({ error: 'Must be more than 0.' })),
  of: z.string().trim().min(1).max(40).meta({ title: 'Layer of' }),
  water: z
    .enum(Object.keys(layerWaters) as [keyof typeof layerWaters, ...(keyof typeof layerWaters)[]])
    .meta({ title: 'Water' })
    .optional(),
});
export type Layer = z.infer<typeof Layer>;

type Refuse = (path: readonly (string | number)[], message: string) => void;

interface Built {
  measuringPoints: readonly MeasuringPoint[];
  bottom?: number;
  screenTop?: number;
  screenBottom?: number;
  intake?: number;
  insideDiameter?: number;
  bore?: number;
  narrower?: readonly z.infer<typeof Narrower>[];
  layers?: readonly Layer[];
  pack?: { from: number; to: number };
  seal?: { from: number; to: number };
}

/** A screen has both ends in their order, and lies in the well as its pump does. */
function checkScreen({ bottom = Infinity, screenTop, screenBottom, intake }: Built, refuse: Refuse): void {
  if ((screenTop === undefined) !== (screenBottom === undefined))
    refuse([screenTop === undefined ? 'screenTop' : 'screenBottom'], 'A screen has both ends. Leave both empty where one is not known.');
  if (screenTop !== undefined && screenBottom !== undefined && screenBottom <= screenTop)
    refuse(['screenBottom'], 'The screen ends below its top.');
  if (screenBottom !== undefined && screenBottom > bottom) refuse(['screenBottom'], 'The screen ends above the bottom of the well.');
  if (intake !== undefined && intake > bottom) refuse(['intake'], 'The intake is above the bottom of the well.');
}

/** What lies around the casing: pack, seal, bore and layers. */
function checkAround({ pack, seal, bore, insideDiameter, layers = [] }: Built, refuse: Refuse): void {
  for (const [name, row] of Object.entries({ pack, seal })) if (row && row.to <= row.from) refuse([name, 'to'], 'It ends below its top.');
  if (bore !== undefined && insideDiameter !== undefined && bore <= insideDiameter)
    refuse(['bore'], 'The bore is wider than the casing in it.');
  for (const [row, { to }] of layers.entries())
    if (row > 0 && to <= layers[row - 1]!.to) refuse(['layers', row, 'to'], 'It ends below the one above it.');
}

/** Narrower casings stand within one another, and how deep they begin hangs on how high the marks are. */
function checkNarrower({ narrower = [], measuringPoints, insideDiameter, bottom = Infinity }: Built, refuse: Refuse): void {
  if (narrower.length > 0)
    for (const [row, { stickUp, until }] of measuringPoints.entries())
      if (stickUp === undefined && until === undefined)
        refuse(['measuringPoints', row, 'stickUp'], 'Give it: how deep the narrower casing begins below the mark hangs on it.');
  for (const [row, one] of narrower.entries()) {
    const above = row === 0 ? { from: 0, insideDiameter } : narrower[row - 1]!;
    const wrong = (name: string, message: string) => refuse(['narrower', row, name], message);
    if (one.from <= above.from) wrong('from', 'It begins below the one above it.');
    if (one.from >= bottom) wrong('from', 'It begins above the bottom of the well.');
    if (above.insideDiameter === undefined) wrong('insideDiameter', 'Give the diameter of the casing above it as well.');
    else if (one.insideDiameter >= above.insideDiameter) wrong('insideDiameter', 'It stands within the one above it: it is narrower.');
  }
}

/**
 * How a well is built, as far as it is known: what is not stays out until it is needed, and is asked for there. Depths are in m
 * below ground; the bottom is where a tape comes to rest.
 */
export const Well = z
  .object({
    measuringPoints: z.array(MeasuringPoint).min(1).max(20),
    bottom: depth('Bottom, below ground', metres.positive({ error: 'Must be more than 0.' })).optional(),
    screenTop: depth('Screen from, below ground').optional(),
    screenBottom: depth('Screen to, below ground').optional(),
    /** Row of the pipe table that the casing is made of, if known. */
    pipe: z.string().max(40).meta({ title: 'Pipe, where it is known' }).optional(),
    /** True inside diameter of the casing in m. */
    insideDiameter: diameter('True inside diameter').optional(),
    /** Narrower casings further down, from above. */
    narrower: z.array(Narrower).max(8).optional(),
    /** Depth of the installed or usual pump intake in m below ground. */
    intake: depth('Pump intake, below ground, if any').optional(),
    /** A pump that stays in it: what it is called, and its row of the table of pumps. */
    ownPump: z
      .object({
        name: z.string({ error: 'Give it a name.' }).trim().min(1, { error: 'Give it a name.' }).max(80).meta({ title: 'Its own pump' }),
        kind: z.string({ error: 'Say which kind it is.' }).max(40).meta({ title: 'Kind of its own pump' }),
      })
      .optional(),
    /** The hole that was drilled. */
    bore: diameter('Bore').optional(),
    /** Gravel or sand around the screen. */
    pack: z
      .object({
        ...span,
        porosity: z
          .number()
          .min(0.05, { error: 'Less than any gravel: between 0.05 and 0.6.' })
          .max(0.6, { error: 'More than any gravel: between 0.05 and 0.6.' })
          .meta({ title: 'Porosity of the pack', units: ['1'] })
          .optional(),
      })
      .optional(),
    /** What was drilled through, from above. */
    layers: z.array(Layer).max(30).optional(),
    /** What keeps water from above out of the annulus. */
    seal: z.object({ ...span, of: z.string().trim().min(1).max(80).meta({ title: 'Seal of' }).optional() }).optional(),
  })
  .superRefine((well, issues) => {
    const refuse: Refuse = (path, message) => issues.addIssue({ code: 'custom', path: [...path], message });
    if (well.measuringPoints.every(({ until }) => until !== undefined))
      refuse(['measuringPoints', 0, 'until'], 'One mark has to be there still.');
    checkScreen(well, refuse);
    checkAround(well, refuse);
    checkNarrower(well, refuse);
  });
export type Well = z.infer<typeof Well>;

/** A depth in m below ground as one below a measuring point; null where it, or the height of the mark, is not known. */
export function belowMark({ stickUp }: MeasuringPoint, belowGround: number | undefined): number | null {
  return belowGround === undefined || stickUp === undefined ? null : belowGround + stickUp;
}

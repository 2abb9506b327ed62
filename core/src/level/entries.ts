import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { field } from '../roles/index.ts';
import { base, typedOf } from '../units/index.ts';
import { depthBy, isCutOverHold, length, LevelTool } from './tools.ts';

export { LevelTool };

/** Whether the well was at rest: a pumped level is no static level. */
export const waterStates = ['static', 'pumped-lately', 'pumping'] as const;
export type WaterState = (typeof waterStates)[number];

/** Numbers of one reading agree to this, in m. */
const same = 0.0006;

export const levelRead = entryKind(
  'level-read',
  'Level reading',
  z
    .object({
      measuringPoint: z.string().min(1).max(80).meta({ title: 'Measuring point' }),
      /** Depth to water below the measuring point; negative where water stands above it. */
      depth: typedOf('length', { title: 'Depth to water', units: ['m', 'ft', 'mm'], min: -20, max: 2000 }),
      /** Left out of readings of before, and where the depth was read off as it is. */
      by: LevelTool.optional(),
      water: z.enum(waterStates).meta({ title: 'The water is' }),
      /** Why a questioned reading was kept. */
      kept: z
        .string()
        .trim()
        .min(3, { error: 'Read again and correct the number, or say in a few words why it is right.' })
        .max(300)
        .meta({ title: 'If it is right, say why' })
        .optional(),
    })
    .superRefine(({ depth, by }, issues) => {
      if (by && isCutOverHold(by))
        issues.addIssue({ code: 'custom', path: ['by', 'cut'], message: 'The wetted length cannot be longer than the hold.' });
      const read = by ? depthBy(by) : null;
      if (read !== null && Math.abs(read - base(depth)) > same)
        issues.addIssue({ code: 'custom', path: ['depth', 'text'], message: 'It is not what the tape says.' });
    }),
  {
    stands: 'at-visit',
    by: field,
    correction: 'replace',
    // At first only the depth was written down, whatever it was read with.
    earlier: [
      {
        payload: z.object({
          measuringPoint: z.string().min(1).max(80),
          depth: typedOf('length', { units: ['m', 'ft'], min: -20, max: 2000 }),
          water: z.enum(waterStates),
          kept: z.string().trim().min(3).max(300).optional(),
        }),
        upgrade: (before: unknown) => before,
      },
    ],
  },
);

/** Why no level can be read. */
export const leftOutWhys = ['dry', 'obstructed', 'no-access', 'other'] as const;

/** The level could not be read, and why: no access for a tape, an obstruction, a sealed head. */
export const levelLeftOut = entryKind(
  'level-left-out',
  'Level left out',
  z
    .object({
      why: z.enum(leftOutWhys).meta({ title: 'What is it' }),
      /** How far down the tape came. */
      reached: length('The tape came down to').optional(),
      reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).meta({ title: 'Why it cannot be read' }),
    })
    .refine(({ why, reached }) => reached !== undefined || (why !== 'dry' && why !== 'obstructed'), {
      path: ['reached'],
      error: 'Say how far down the tape came.',
    }),
  {
    stands: 'at-visit',
    by: field,
    correction: 'replace',
    earlier: [
      {
        payload: z.object({ reason: z.string().trim().min(3).max(300) }),
        upgrade: ({ reason }: { reason: string }) => ({ why: 'other', reason }),
      },
    ],
  },
);

/** What a logger in the well shows at the moment of a reading by hand: how far it is off. */
export const loggerCompared = entryKind(
  'logger-compared',
  'Logger compared',
  z.object({
    logger: z.string().trim().min(1, { error: 'Say which.' }).max(80).meta({ title: 'Which logger' }),
    /** Depth below the mark, or the head over its sensor where it shows that. */
    shows: typedOf('length', { title: 'It shows', units: ['m', 'ft'], min: -20, max: 2000 }),
  }),
  { stands: 'at-visit', by: field, correction: 'replace' },
);

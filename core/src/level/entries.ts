import { z } from 'zod';
import { entryKind } from '../book/index.ts';
import { field } from '../roles/index.ts';
import { typedOf } from '../units/index.ts';

/** Whether the well was at rest: a pumped level is no static level. */
export const waterStates = ['static', 'pumped-lately', 'pumping'] as const;
export type WaterState = (typeof waterStates)[number];

export const levelRead = entryKind(
  'level-read',
  'Level reading',
  z.object({
    measuringPoint: z.string().min(1).max(80).meta({ title: 'Measuring point' }),
    /** Depth to water below the measuring point; negative where water stands above it. */
    depth: typedOf('length', { title: 'Depth to water', units: ['m', 'ft'], min: -20, max: 2000 }),
    water: z.enum(waterStates).meta({ title: 'The water is' }),
    /** Why a questioned reading was kept. */
    kept: z
      .string()
      .trim()
      .min(3, { error: 'Read again and correct the number, or say in a few words why it is right.' })
      .max(300)
      .meta({ title: 'If it is right, say why' })
      .optional(),
  }),
  { stands: 'at-visit', by: field, correction: 'replace' },
);

/** The level could not be read, and why: no access for a tape, an obstruction, a sealed head. */
export const levelLeftOut = entryKind(
  'level-left-out',
  'Level left out',
  z.object({ reason: z.string().trim().min(3, { error: 'Say why, in a few words.' }).max(300).meta({ title: 'Why it cannot be read' }) }),
  { stands: 'at-visit', by: field, correction: 'replace' },
);

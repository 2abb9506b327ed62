import { z } from 'zod';

/** The field in which one signs, in its own units: drawn points lie within it. */
export const signatureWidth = 1000;
export const signatureHeight = 320;

/** Less than this of a line, in units of the field, is a dot or a tap and no signature. */
const leastLine = 120;

/** The strokes of a hand: each a list of x and y in turn, in units of the field. */
export type Strokes = readonly (readonly number[])[];

const lengthOf = (stroke: readonly number[]): number => {
  let length = 0;
  for (let at = 2; at + 1 < stroke.length; at += 2) length += Math.hypot(stroke[at]! - stroke[at - 2]!, stroke[at + 1]! - stroke[at - 1]!);
  return length;
};

/** How much of a line was drawn, in units of the field. */
export const drawnLength = (strokes: Strokes): number => strokes.reduce((sum, stroke) => sum + lengthOf(stroke), 0);

/** Strokes as the path of a drawing, for the page and for print. */
export const strokesPath = (strokes: Strokes): string =>
  strokes
    .map((stroke) => {
      const points: string[] = [];
      for (let at = 0; at + 1 < stroke.length; at += 2) points.push(`${stroke[at]} ${stroke[at + 1]}`);
      // One point alone is drawn as what it is.
      return `M${points[0]}${points.length === 1 ? 'h1' : `L${points.slice(1).join(' ')}`}`;
    })
    .join('');

const Stroke = z
  .array(z.number().int().min(0).max(signatureWidth))
  .min(2)
  .max(2000)
  .refine((stroke) => stroke.length % 2 === 0 && stroke.every((value, at) => at % 2 === 0 || value <= signatureHeight), {
    error: 'A stroke is pairs of x and y within the field.',
  });

/** A signature by hand, as it was drawn. */
export const Drawn = z
  .array(Stroke)
  .min(1)
  .max(60)
  .refine((strokes) => strokes.reduce((sum, stroke) => sum + stroke.length, 0) <= 8000, { error: 'That is too long a drawing.' })
  .refine((strokes) => drawnLength(strokes) >= leastLine, { error: 'A dot is no signature: clear it and sign again.' })
  .meta({ title: 'By hand' });

/** A signature: the name in letters, and drawn where a hand could draw it. */
export const Signature = z.object({
  name: z.string().trim().min(1, { error: 'Sign with your name.' }).max(120).meta({ title: 'Signature' }),
  drawn: Drawn.optional(),
});
export type Signature = z.infer<typeof Signature>;

import { z } from 'zod';
import type { Finding } from '../findings/index.ts';
import { base, decimalsOf, fromBase, showNumber, typedOf, type Typed } from '../units/index.ts';
import { steelTapeDepth } from './steel-tape.ts';

export const length = (title: string, min = 0) => typedOf('length', { title, units: ['m', 'ft'], min, max: 2000 });

/** How a level was read, with the numbers as they stood on the tape. */
export const LevelTool = z.discriminatedUnion('tool', [
  z.object({ tool: z.literal('electric').meta({ title: 'Read with' }) }),
  /** A chalked steel tape: held at the mark, wetted up to the cut, corrected for its own length where that is known. */
  z.object({
    tool: z.literal('steel'),
    hold: length('Hold at the mark'),
    cut: length('Cut: the wetted length'),
    correction: typedOf('length', { title: 'The tape’s own correction', units: ['m', 'ft'], min: -1, max: 1 }).optional(),
  }),
  /** A tape with few marks: the last one above the water’s place, and the rest with a rule. */
  z.object({ tool: z.literal('coarse'), at: length('Nearest mark of the tape'), rest: length('Rest, by a rule') }),
  /** The well flows by itself: the water stands above the mark in a standpipe, or presses on a gauge. */
  z.object({ tool: z.literal('flowing'), head: length('Head above the mark') }),
]);
export type LevelTool = z.infer<typeof LevelTool>;

/** Whether more of a tape is wet than was held: then one of both was misread. */
export const isCutOverHold = (by: LevelTool): boolean => by.tool === 'steel' && base(by.cut) > base(by.hold);

/** Whether a steel tape came up dry: the water is deeper than its hold, and how deep nobody knows. */
export const isDryTape = (by: LevelTool): boolean => by.tool === 'steel' && base(by.cut) === 0;

/** The depth below the mark in m that follows from what stood on the tape; null where it is the depth itself. */
export function depthBy(by: LevelTool): number | null {
  switch (by.tool) {
    case 'electric':
      return null;
    case 'steel': {
      const [hold, cut, correction] = [base(by.hold), base(by.cut), by.correction ? base(by.correction) : 0];
      return isCutOverHold(by) ? hold - cut + correction : steelTapeDepth({ hold, cut, correction }).value;
    }
    case 'coarse':
      return base(by.at) + base(by.rest);
    case 'flowing':
      return -base(by.head);
  }
}

/** The numbers that were read with a tool. */
const readWith = (by: LevelTool): Typed[] =>
  by.tool === 'steel'
    ? [by.hold, by.cut, ...(by.correction ? [by.correction] : [])]
    : by.tool === 'coarse'
      ? [by.at, by.rest]
      : by.tool === 'flowing'
        ? [by.head]
        : [];

/** The depth of a reading as a typed quantity: in the unit of the tape, with as many digits as its finest number. */
export function typedDepth(by: LevelTool): Typed | null {
  const depth = depthBy(by);
  const numbers = readWith(by);
  if (depth === null) return null;
  const unit = numbers[0]!.unit;
  return { text: showNumber(fromBase(depth, unit), Math.max(...numbers.map(decimalsOf))).replace('−', '-'), unit };
}

/** Where to hold a steel tape, in m: one to two metres below the last level at a whole number, so that its end is wetted. USGS TM 1-A1, GWPD 1. */
export const proposedHold = (last: number): number => Math.ceil(last + 1);

/** A second run held this near the first, in m, is no other hold. */
const sameHold = 0.3;

/** What is odd about how a tape was read, against the readings before: a second run at the same hold. */
export function questionTool(by: LevelTool, before: readonly { by?: LevelTool }[]): Finding[] {
  const last = before.at(-1)?.by;
  if (by.tool !== 'steel' || last?.tool !== 'steel' || Math.abs(base(by.hold) - base(last.hold)) >= sameHold) return [];
  return [{ code: 'same-hold', severity: 'question', field: 'by.hold' }];
}

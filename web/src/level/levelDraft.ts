import { levelRead, typedDepth, type LevelTool, type WaterState } from '@fonte/core/level';
import { readField } from '../units/decimal.ts';
import { type Typed } from '@fonte/core/units';
import type { z } from 'zod';
import { asTyped, type Read } from '../form/values.ts';

/** A level as it is being typed, with whichever tape. */
export interface LevelDraft {
  measuringPoint: string;
  depth: Typed;
  by: { tool: LevelTool['tool']; hold: Typed; cut: Typed; correction: Typed; at: Typed; rest: Typed; head: Typed };
  /** Empty until somebody says it: no state is taken for granted. */
  water: WaterState | '';
  kept: string;
}

/** What each tool is read with, beside the depth itself. */
export const numbersOf = {
  electric: [],
  steel: ['hold', 'cut', 'correction'],
  coarse: ['at', 'rest'],
  flowing: ['head'],
} as const satisfies Record<LevelTool['tool'], readonly (keyof LevelDraft['by'])[]>;

const isRead = ({ text }: Typed) => readField(text).ok;

/** The tool with its own numbers, as far as they can be read; null while one that is needed cannot. */
function toolOf({ by }: LevelDraft): LevelTool | null {
  const numbers = numbersOf[by.tool].filter((name) => name !== 'correction' || by.correction.text.trim() !== '');
  if (!numbers.every((name) => isRead(by[name]))) return null;
  return { tool: by.tool, ...Object.fromEntries(numbers.map((name) => [name, by[name]])) } as LevelTool;
}

/** The depth that a draft says; null while it says none. */
export function depthOf(draft: LevelDraft): Typed | null {
  if (draft.by.tool === 'electric') return isRead(draft.depth) ? draft.depth : null;
  const tool = toolOf(draft);
  return tool && typedDepth(tool);
}

/** A reading as the form has it, to be corrected: what stood on its tape among it. */
export function draftOfLevel({ measuringPoint, by, water, kept = '' }: z.output<typeof levelRead.payload>, depth: Typed): LevelDraft {
  const empty = freshLevel(measuringPoint, depth.unit === 'ft' ? 'ft' : 'm');
  return { ...empty, depth, water, kept, by: { ...empty.by, ...by } };
}

/** What should stand by a draft. Where it was read off as it is, the depth alone says it; else what stood on the tape does. */
export function levelInstead(draft: LevelDraft): object {
  const { measuringPoint, depth, by, water, kept } = draft;
  if (by.tool === 'electric') return { measuringPoint, depth, water, kept };
  const worked = depthOf(draft);
  const numbers = Object.fromEntries(numbersOf[by.tool].map((name) => [name, by[name]]));
  return { measuringPoint, ...(worked ? { depth: worked } : {}), by: { tool: by.tool, ...numbers }, water, kept };
}

/** The payload of a draft. A depth that follows from what stands on the tape is worked out and not typed. */
export function readLevel(draft: LevelDraft, isAsked: boolean): Read {
  const { measuringPoint, depth, by, water, kept } = draft;
  const numbers = Object.fromEntries(numbersOf[by.tool].map((name) => [name, by[name]]));
  const worked = by.tool === 'electric' ? depth : depthOf(draft);
  const { value, problems } = asTyped(
    { measuringPoint, ...(worked ? { depth: worked } : {}), by: { tool: by.tool, ...numbers }, water },
    levelRead.payload,
  );
  // A reason to keep a number goes with the number that was asked about, and with no other.
  return { value: isAsked ? { ...(value as object), kept } : value, problems };
}

/** An empty reading in a unit. */
export function freshLevel(measuringPoint: string, unit: 'm' | 'ft'): LevelDraft {
  const empty: Typed = { text: '', unit };
  return {
    measuringPoint,
    depth: empty,
    by: { tool: 'electric', hold: empty, cut: empty, correction: empty, at: empty, rest: empty, head: empty },
    water: '',
    kept: '',
  };
}

import type { Finding } from '../../findings/index.ts';
import type { Lab } from '../../registers/index.ts';
import type { BottleCondition, ColdId, HandedBox } from '../entries.ts';
import type { FormLine } from '../line.ts';

/** When one asks what a lab would refuse: before a bottle is filled, while boxes are packed, when bottles change hands. */
export type Stage = 'tap' | 'packing' | 'desk';

/** A box as it is now: what was read of it last, or stands on the form. */
export interface BoxNow {
  id: string;
  name: string;
  /** °C; null where nobody read it. */
  temperature: number | null;
  cooling: boolean;
  seal: string;
  sealIs: HandedBox['sealIs'];
  cold: ColdId | null;
}

/** What is known in the moment in which one asks. */
export interface Situation {
  stage: Stage;
  /** ms. */
  now: number;
  /** When the bottles are at the lab's door, in ms: now, and the way there. */
  arrival: number;
  lines: readonly FormLine[];
  boxes: ReadonlyMap<string, BoxNow>;
  conditions: Readonly<Record<string, BottleCondition>>;
  /** What was typed for the form, by field. */
  said: Readonly<Record<string, string>>;
  /** So many bottles were counted; null while nobody counted. */
  counted: number | null;
}

/** What a lab would refuse, whom it concerns, and where it is to be said. */
export interface Refusal extends Finding {
  field: string;
  /** The labels of the bottles that would be sent back for it. */
  bottles: readonly string[];
}

/** One rule of a lab, asked of one bottle. */
export interface BottleCheck {
  at: readonly Stage[];
  of: (line: FormLine, situation: Situation, lab: Lab | null) => Finding[];
}

export const always: readonly Stage[] = ['tap', 'packing', 'desk'];
export const onTheWay: readonly Stage[] = ['packing', 'desk'];

export const stop = (code: string, field: string, data: Finding['data'] = {}): Finding => ({ code, severity: 'stop', field, data });
export const question = (code: string, field: string, data: Finding['data'] = {}): Finding => ({ code, severity: 'question', field, data });

import type { BottleCondition, BoxState, FormLine, HandedBox, Party, Strokes } from '@fonte/core/custody';
import { instantAt, offsetIn } from '@fonte/core/time';
import type { Typed } from '@fonte/core/units';

/** What is said of a bottle at a change of hands: how it is, or that it does not come along. */
export type BottleSaid = BottleCondition | 'missing' | 'not-taken';

export interface BoxDraft {
  temperature: Typed;
  cooling: boolean;
  seal: string;
  sealIs: HandedBox['sealIs'];
}

export interface Draft {
  to: Party;
  /** The lab that the bottles are bound for which somebody else takes along; all of them where it is left out. */
  bound?: string | undefined;
  takenBy: string;
  /** By the key of the box. */
  inBoxes: Record<string, BoxDraft>;
  bottles: Record<string, BottleSaid>;
  counted: string;
  /** Bottles that were scanned, by label. */
  scanned: string[];
  arrives?: number | undefined;
  said: Record<string, string>;
  signed: { name: string; drawn?: Strokes | undefined };
  received: { name: string; drawn?: Strokes | undefined };
}

export const emptyBox: BoxDraft = { temperature: { text: '', unit: 'degC' }, cooling: false, seal: '', sealIs: 'whole' };

/** The name of a box in a form: an empty one would be no field. */
export const boxKey = (id: string): string => id || 'loose';

export const boxDraft = ({ inBoxes }: Pick<Draft, 'inBoxes'>, id: string): BoxDraft => ({ ...emptyBox, ...inBoxes[boxKey(id)] });

const staysBehind = (said: BottleSaid | undefined): said is 'missing' | 'not-taken' => said === 'missing' || said === 'not-taken';

/** The bottles that change hands, and those that do not. */
export function parted(lines: readonly FormLine[], { bottles }: Pick<Draft, 'bottles'>) {
  return {
    goes: lines.filter(({ bottle }) => !staysBehind(bottles[bottle.id])),
    stays: lines.filter(({ bottle }) => staysBehind(bottles[bottle.id])),
  };
}

/** Whether each bottle that goes was scanned: one that was scanned and stays behind counts for none of them. */
export const isAllScanned = (goes: readonly FormLine[], scanned: readonly string[]): boolean =>
  goes.every(({ bottle }) => scanned.includes(bottle.id));

/** Whoever stands there to take the bottles, by name. */
export const takerOf = ({ to, takenBy }: Pick<Draft, 'to' | 'takenBy'>): string => (to.as === 'lab' ? takenBy : to.name);

/** The payload that a form makes; what is empty and may be so is left out. */
export function payloadOf(
  draft: Draft,
  {
    lines,
    boxes,
    from,
    zone,
    foretold,
  }: { lines: readonly FormLine[]; boxes: readonly BoxState[]; from: Party; zone: string; foretold: object[] },
) {
  const { goes, stays } = parted(lines, draft);
  const signature = ({ name, drawn }: Draft['signed']) => (name.trim() === '' ? undefined : { name, ...(drawn?.length ? { drawn } : {}) });
  const signed = from.as === 'place' ? undefined : signature(draft.signed);
  const received = signature(draft.received);
  const said = Object.entries(draft.said).filter(([, text]) => text.trim() !== '');
  return {
    from,
    to: draft.to,
    takenBy: draft.to.as === 'lab' ? draft.takenBy : '',
    boxes: boxes
      .filter(({ box }) => goes.some((line) => line.box === box.id))
      .map(({ box: { id, name } }) => {
        const { temperature, ...rest } = boxDraft(draft, id);
        return { box: id, name, ...rest, ...(temperature.text.trim() === '' ? {} : { temperature }) };
      }),
    bottles: goes.map(({ bottle, box }) => ({ bottle: bottle.id, box, condition: draft.bottles[bottle.id] ?? 'good' })),
    left: stays.map(({ bottle }) => ({ bottle: bottle.id, why: draft.bottles[bottle.id] })),
    ...(/^\s*\d+\s*$/.test(draft.counted) ? { counted: Number(draft.counted) } : {}),
    ...(signed ? { signed } : {}),
    ...(received ? { received } : {}),
    ...(draft.arrives === undefined || draft.to.as === 'lab' ? {} : { arrives: instantAt(draft.arrives, offsetIn(draft.arrives, zone)) }),
    ...(said.length > 0 ? { said: Object.fromEntries(said) } : {}),
    foretold,
  };
}

/** The field of the form for a path of the payload: boxes stand there under their name. */
export function fieldFor(path: string, boxes: readonly BoxState[]): string {
  const [first, index, ...rest] = path.split('.');
  const box = first === 'boxes' ? boxes[Number(index)] : undefined;
  if (box) return ['inBoxes', boxKey(box.box.id), ...rest].join('.');
  return path;
}

import type { BottleRule, TemperatureClass } from '../bottles/index.ts';
import type { Finding } from '../findings/index.ts';
import { spaceOf } from '../plan/index.ts';
import type { Box } from '../registers/index.ts';

/** A box, as a book names it. */
export type BoxOfBook = Pick<Box, 'id' | 'name' | 'holds'>;

/** Bottles of one visit that want the same cold: they travel together. */
export interface BoxGroup {
  visit: string;
  temperature: TemperatureClass;
  bottles: readonly string[];
  /** What they take up in a box, in m³. */
  space: number;
}

/** What must not share a box: ice is too cold for what is kept at 6 to 20 °C. What takes no harm from cold rides anywhere. */
const climateOf: Readonly<Record<TemperatureClass, 'ice' | 'mild' | 'any'>> = { bacteria: 'ice', chilled: 'ice', cool: 'mild', any: 'any' };

/** The bottles of a round by where they can travel together, in the order of its visits. */
export function boxGroups(bottles: readonly { id: string; visit: string; card: BottleRule }[]): BoxGroup[] {
  const groups = new Map<string, BoxGroup>();
  for (const { id, visit, card } of bottles) {
    const { temperature } = card;
    const key = `${visit} ${temperature}`;
    const group = groups.get(key) ?? { visit, temperature, bottles: [], space: 0 };
    groups.set(key, { ...group, bottles: [...group.bottles, id], space: group.space + spaceOf(card) });
  }
  return [...groups.values()];
}

/** A box of a proposal with what it would hold. */
export interface ProposedBox {
  box: BoxOfBook;
  bottles: string[];
}

/** Fuller than this a box is not packed: a rounding of litres is no reason for another one. */
const slack = 1e-9;

/**
 * Which bottles go into which box: the largest box first, one climate a box, each group where it still fits. What fits nowhere is left
 * out, and so is what needs no cooling once the boxes are full.
 */
export function proposeBoxes(groups: readonly BoxGroup[], boxes: readonly BoxOfBook[]): ProposedBox[] {
  const free = [...boxes].sort((a, b) => b.holds - a.holds);
  const packed: (ProposedBox & { climate: 'ice' | 'mild' | 'any'; left: number })[] = [];
  const order = { ice: 0, mild: 1, any: 2 } as const;
  for (const { temperature, bottles, space } of [...groups].sort(
    (a, b) => order[climateOf[a.temperature]] - order[climateOf[b.temperature]],
  )) {
    const climate = climateOf[temperature];
    let into = packed.find((one) => (climate === 'any' || one.climate === climate) && one.left + slack >= space);
    if (!into) {
      const next = free.findIndex(({ holds }) => holds + slack >= space);
      if (next < 0) continue;
      const [box] = free.splice(next, 1);
      into = { box: box!, bottles: [], climate, left: box!.holds };
      packed.push(into);
    }
    into.bottles.push(...bottles);
    into.left -= space;
  }
  return packed.map(({ box, bottles }) => ({ box, bottles }));
}

/** What is wrong with boxes as they are packed: two colds in one, more than it holds. One finding a box. */
export function questionBoxes(groups: readonly BoxGroup[], boxed: ReadonlyMap<string, BoxOfBook>): Finding[] {
  const boxes = new Map<string, { box: BoxOfBook; classes: Set<TemperatureClass>; space: number }>();
  for (const { temperature, bottles, space } of groups)
    for (const id of bottles) {
      const box = boxed.get(id);
      if (!box) continue;
      const one = boxes.get(box.id) ?? { box, classes: new Set<TemperatureClass>(), space: 0 };
      boxes.set(box.id, { ...one, classes: one.classes.add(temperature), space: one.space + space / bottles.length });
    }
  return [...boxes.values()].flatMap(({ box: { name, holds }, classes, space }): Finding[] => [
    ...(classes.has('cool') && classes.has('chilled')
      ? [{ code: 'box-two-colds', severity: 'stop' as const, field: 'bottles', data: { name } }]
      : classes.has('cool') && classes.has('bacteria')
        ? [{ code: 'box-narrow-cold', severity: 'question' as const, field: 'bottles', data: { name } }]
        : []),
    ...(space > holds + slack
      ? [{ code: 'box-too-small', severity: 'question' as const, field: 'bottles', data: { name, holds, space } }]
      : []),
  ]);
}

import { cardOf, type BottleRule, type BottleTable, type RuleId, type TemperatureClass } from '../bottles/index.ts';
import type { PlannedBottle } from './bottles.ts';

/** One line of the packing count. Spares are bottles without a label. */
export interface BottleCount {
  rule: RuleId;
  /** As it holds where they are filled. */
  card: BottleRule;
  needed: number;
  spares: number;
}

/** A spare for so many bottles, where an edition does not say it. */
const usuallySpareEach = 10;

/**
 * How many bottles of each kind to pack for these, with at least one spare of each.
 * Source: "always carry extra bottles", one in ten, more for bacteria: common practice.
 */
export function countBottles(
  table: BottleTable,
  bottles: readonly (Pick<PlannedBottle, 'rule' | 'supply'> & { card?: BottleRule })[],
): BottleCount[] {
  const counts = new Map<string, BottleCount>();
  for (const { rule, supply, card = cardOf(table, rule) } of bottles) {
    const key = `${rule} ${card.container}`;
    const needed = (counts.get(key)?.needed ?? 0) + (supply === null ? 1 : 2);
    counts.set(key, { rule, card, needed, spares: Math.ceil(needed / (card.spareEach ?? usuallySpareEach)) });
  }
  return [...counts.values()].sort((a, b) => a.card.order - b.card.order);
}

/** What a temperature class of bottles takes up in the van. */
export interface Load {
  temperature: TemperatureClass;
  bottles: number;
  /** What the bottles hold, in m³. */
  water: number;
  /** What a box must hold for them, in m³: with ice where they are cooled. */
  space: number;
  /** Nothing but real ice may cool them. */
  realIceOnly: boolean;
}

/** Box space for each litre of sample: bottles do not lie close, and ice takes as much as the water. Common practice. */
const spacePerWater: Readonly<Record<TemperatureClass, number>> = { bacteria: 3, chilled: 3, cool: 2, any: 1.5 };

const litre = 1e-3;

/** What a box must hold for one bottle, in m³: with ice where it is cooled. */
export function spaceOf({ temperature, volume }: Pick<BottleRule, 'temperature' | 'volume'>): number {
  return (volume / 1000) * litre * spacePerWater[temperature];
}

/** What there is to carry when every planned bottle is full, by the temperature that it wants; spares ride empty outside the boxes. */
export function loads(counts: readonly BottleCount[]): Load[] {
  const all = new Map<TemperatureClass, Load>();
  for (const { card, needed } of counts) {
    const { temperature, volume, gear = [] } = card;
    const before = all.get(temperature) ?? { temperature, bottles: 0, water: 0, space: 0, realIceOnly: false };
    const water = before.water + needed * (volume / 1000) * litre;
    all.set(temperature, {
      temperature,
      bottles: before.bottles + needed,
      water,
      space: water * spacePerWater[temperature],
      realIceOnly: before.realIceOnly || gear.includes('pfas-ice'),
    });
  }
  return [...all.values()];
}

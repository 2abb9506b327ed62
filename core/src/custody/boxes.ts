import type { BoxOfBook } from '../prepare/index.ts';
import { base } from '../units/index.ts';
import type { BoxReading, CustodyBook } from './custody.ts';
import { bandOf, type BoxNow } from './refusals/index.ts';
import type { FormLine } from './line.ts';

/** A box with what stands in it, and all that was read of it, oldest first. */
export interface BoxState {
  box: Pick<BoxOfBook, 'id' | 'name'>;
  lines: readonly FormLine[];
  readings: readonly BoxReading[];
  now: BoxNow;
}

/** Bottles that stand in no box of the register: the cooler that everybody has. */
export const looseBox = { id: '', name: 'Cooler' } as const;

/** The boxes of these bottles, in the order in which their first one comes. What was read after a moment (ms) does not count. */
export function boxStates(
  lines: readonly FormLine[],
  boxed: ReadonlyMap<string, Pick<BoxOfBook, 'id' | 'name'>>,
  { boxes }: Pick<CustodyBook, 'boxes'>,
): BoxState[] {
  const names = new Map([...boxed.values()].map((box) => [box.id, box]));
  return [...new Set(lines.map(({ box }) => box))].map((id) => {
    const box = names.get(id) ?? looseBox;
    const readings = boxes.filter((reading) => reading.box.box === id);
    const last = readings.findLast(({ temperature }) => temperature !== undefined);
    return {
      box,
      lines: lines.filter((line) => line.box === id),
      readings,
      now: {
        id,
        name: box.name,
        temperature: last?.temperature ? base(last.temperature) : null,
        cooling: false,
        seal: '',
        sealIs: 'whole',
        cold: readings.findLast(({ cold }) => cold !== undefined)?.cold ?? null,
      },
    };
  });
}

/** The band that suits every bottle of a box, in °C; null where none says what it wants, `least` above `most` where no one band suits all. */
export function bandOfBox(lines: readonly FormLine[]): { least: number; most: number } | null {
  const bands = lines.flatMap((line) => bandOf(line) ?? []);
  return bands.length === 0
    ? null
    : { least: Math.max(...bands.map(({ least }) => least)), most: Math.min(...bands.map(({ most }) => most)) };
}

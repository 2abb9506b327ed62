import { Script, wellPoint } from './script.ts';
import type { AgreedLevel } from '../src/level/index.ts';
import { purgeReading, purgeRoom, purgeSetUp, type PurgeBook } from '../src/purge/index.ts';

/** The level that the purges of tests start from. */
export const levelAtRest: AgreedLevel = {
  at: 0,
  measuringPoint: 'North rim',
  depth: 7.4,
  typed: { text: '7.40', unit: 'm' },
  water: 'static',
  belowGround: null,
  elevation: null,
};

/** A purge of so many sets, three minutes apart, at the well of the tests. */
export function atWellOf(count: number): { book: PurgeBook; point: typeof wellPoint; level: AgreedLevel } {
  const level = levelAtRest;
  const around = { point: wellPoint, level };
  const script = new Script();
  const setUp = script.atWell(purgeSetUp, {
    method: 'volumes',
    insideDiameter: { text: '52', unit: 'mm' },
    volumes: 3,
    criterion: 'usgs-nfm@2026-3',
    parameters: ['temperature', 'ph', 'conductivity', 'oxygen', 'turbidity'],
  });
  let book = purgeRoom.advance(purgeRoom.empty, setUp, around);
  for (let set = 0; set < count; set++) {
    const read = (value: number, decimals: number) => (value + Math.exp(-set / 8) + (set % 3) * 0.01).toFixed(decimals);
    const entry = script.atWell(
      purgeReading,
      {
        pumped: { text: String(5 * (set + 1)), unit: 'L' },
        values: {
          temperature: { text: read(16, 1), unit: 'degC' },
          ph: { text: read(6.9, 2), unit: 'pH' },
          conductivity: { text: read(570, 0), unit: 'uS/cm' },
          oxygen: { text: read(3.4, 2), unit: 'mg/L' },
          turbidity: { text: read(8, 1), unit: 'NTU' },
        },
      },
      3,
    );
    book = purgeRoom.advance(book, entry, around);
  }
  return { book, point: around.point, level };
}

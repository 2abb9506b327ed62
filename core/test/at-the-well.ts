import type { Entry } from '../src/book/index.ts';
import { bottleFilled } from '../src/fill/index.ts';
import { levelRead } from '../src/level/index.ts';
import { purgeEnded, purgeReading, purgeSetUp } from '../src/purge/index.ts';
import { fold, foresee, sayMisfit } from '../src/round/index.ts';
import type { Script } from './script.ts';

/** What tests of a round ask of a book, and the work at its well: level, purge, filling. */
export function atTheWell(script: () => Script) {
  const state = () => fold(script().entries)!;
  const visit = (id: string) => state().visits.find((candidate) => candidate.id === id)!;
  const misfit = (entry: Entry) => {
    const found = foresee(script().entries, entry).misfit;
    return found ? { path: found.field, message: sayMisfit(found) } : undefined;
  };
  const level = (text: string, unit: 'm' | 'ft' = 'm') =>
    script().atWell(levelRead, { measuringPoint: 'North rim', depth: { text, unit }, water: 'static' });
  const readings = (pumped: string, temperature: string) =>
    script().atWell(purgeReading, {
      pumped: { text: pumped, unit: 'L' },
      values: { temperature: { text: temperature, unit: 'degC' }, ph: { text: '7.4', unit: 'pH' }, oxygen: { text: '4.0', unit: 'mg/L' } },
    });
  /** Two readings that agree, and a purge by three volumes of a casing of 52 mm. */
  const setUp = (criterion = 'two-sets@2026-1') => {
    level('7.40');
    level('7.40');
    script().atWell(purgeSetUp, {
      method: 'volumes',
      insideDiameter: { text: '52', unit: 'mm' },
      volumes: 3,
      criterion,
      parameters: ['temperature', 'ph', 'oxygen'],
    });
  };
  const purged = () => {
    setUp();
    readings('35', '16.1');
    readings('72', '16.1');
    script().atWell(purgeEnded, { flowCell: 'detached', filling: { how: 'split' } });
  };
  const fill = (id: string) => script().atWell(bottleFilled, { bottle: id });
  return { state, visit, misfit, level, readings, setUp, purged, fill };
}

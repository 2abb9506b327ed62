import Papa from 'papaparse';
import type { Point } from '../registers/index.ts';
import { fromBase } from '../units/index.ts';
import { at } from './paths.ts';
import { pointColumns, type PointColumn } from './tables/columns.ts';

/** What a table says where nothing is to be known: a tap whose water is not chlorinated. */
export const none = 'none';

/** So many digits come back as they were. */
const digits = 9;

/** What stands in a cell of a point. */
export function cellOf(point: Point, { path, is, unit, of }: PointColumn): string {
  if (of && of !== point.type) return '';
  const value = at(point, path);
  if (value === null) return none;
  if (value === undefined) return '';
  if (is === 'list') return (value as string[]).join(';');
  if (typeof value === 'number') return String(Number((unit ? fromBase(value, unit) : value).toFixed(digits)));
  return value as string;
}

/** A table program runs what begins with one of these as a formula. */
const formula = /^[=+\-@\t\r]/;

/** A text that no table program takes for a formula; numbers stay numbers. */
const harmless = (cell: string, { is }: PointColumn): string => (is !== 'number' && formula.test(cell) ? `'${cell}` : cell);

/** Points as a table, one to a row. */
export function pointsToCsv(points: readonly Point[]): string {
  const rows = points.map((point) => pointColumns.map((column) => harmless(cellOf(point, column), column)));
  return `${Papa.unparse([pointColumns.map(({ name }) => name), ...rows], { newline: '\r\n' })}\r\n`;
}

/** Points for a map: those without a position have no geometry (RFC 7946). */
export function pointsToGeoJson(points: readonly Point[]): string {
  const features = points.map((point) => {
    const properties = Object.fromEntries(
      pointColumns
        .filter(({ path }) => !path.startsWith('position.'))
        .flatMap((column) => {
          const cell = cellOf(point, column);
          return cell === '' ? [] : [[column.name, column.is === 'number' && cell !== none ? Number(cell) : cell] as const];
        }),
    );
    const { position } = point;
    const geometry = position ? { type: 'Point', coordinates: [position.longitude, position.latitude] } : null;
    return { type: 'Feature', geometry, properties };
  });
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 1)}\n`;
}

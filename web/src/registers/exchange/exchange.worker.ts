import { pointsToCsv, pointsToGeoJson, previewPoints, readPoints } from '@fonte/core/exchange';
import type { Point } from '@fonte/core/registers';
import { expose } from 'comlink';

/** Reads and writes files of points beside the page: ten thousand rows are a second's work. */
const exchange = {
  write: (points: readonly Point[], as: 'csv' | 'geojson') => (as === 'csv' ? pointsToCsv(points) : pointsToGeoJson(points)),
  preview: (text: string, registered: readonly Point[], freshIds: readonly string[]) => {
    const { rows, unknown, fault } = readPoints(text);
    return { unknown, fault, rows: fault ? [] : previewPoints(rows, registered, freshIds) };
  },
  count: (text: string) => readPoints(text).rows.length,
};
export type Exchange = typeof exchange;

expose(exchange);

import { pointsToCsv, pointsToGeoJson, previewPoints, readPoints, type SaidColumns } from '@fonte/core/exchange';
import { questionBuilt } from '@fonte/core/purge';
import type { Point } from '@fonte/core/registers';
import { expose } from 'comlink';

/** Reads and writes files of points beside the page: ten thousand rows are a second's work. */
const exchange = {
  write: (points: readonly Point[], as: 'csv' | 'geojson') => (as === 'csv' ? pointsToCsv(points) : pointsToGeoJson(points)),
  preview: (text: string, registered: readonly Point[], freshIds: readonly string[], said: SaidColumns) => {
    const file = readPoints(text, said);
    const { unknown, said: byPerson, fault } = file;
    // What the form of a well asks: 2 mm of casing, or 66 m of a well of the neighbourhood's 20.
    const question = (point: Point) => (point.type === 'well' ? questionBuilt(point.well) : []);
    return { unknown, said: byPerson, fault, rows: fault ? [] : previewPoints(file, registered, freshIds, question) };
  },
  count: (text: string, said: SaidColumns) => readPoints(text, said).rows.length,
};
export type Exchange = typeof exchange;

expose(exchange);

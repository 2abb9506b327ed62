import type { FeatureCollection } from 'geojson';
import marenta from './marenta.json';

/** The outlines that ship with the application. There is no network in the field, so there are no tiles. */
export const base = marenta as unknown as FeatureCollection;

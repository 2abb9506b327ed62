export { operationalLevel, quarterOf, runningAverage, type Quarter, type RunningAverage } from './averages.ts';
export { coliformMonth, isLevel2, type ColiformMonth } from './coliforms.ts';
export { legionellaBand } from './legionella.ts';
export { overLevel, percentile90, type Span } from './percentile.ts';
export { legionellaSystems, type LegionellaSystemId } from './tables/legionella.ts';
export { listSystems, resultsOfSystem, ResultOfSystem } from './endpoints.ts';
export {
  coliformYear,
  metalPercentiles,
  monthsTo,
  placeAverages,
  type ColiformYear,
  type MetalPercentile,
  type PlaceAverage,
} from './over-time.ts';

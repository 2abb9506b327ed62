import type { AnalysisId } from '../../bottles/index.ts';

/** What cannot be taken any more at a tap whose outlet was disinfected: bleach makes of water what is looked for in it, alcohol is itself one of them. Common practice. */
export const spoiltByDisinfection: readonly AnalysisId[] = [
  'trihalomethanes',
  'haloacetic',
  'oxyhalides',
  'volatiles',
  'carbon',
  'cod',
  'bod',
  'pfas533',
  'pfas537',
];

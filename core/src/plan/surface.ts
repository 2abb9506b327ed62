import type { AnalysisId } from '../bottles/index.ts';
import type { Finding } from '../findings/index.ts';
import { originOf, type Point } from '../registers/index.ts';

interface Planned {
  point: Point;
  analyses: readonly AnalysisId[];
}

const isDrunk = ({ point, analyses }: Planned) => point.use === 'supply' && analyses.length > 0;

/**
 * Surface water is sampled for drinking after its treatment only. Where the register says that a point gives it untreated, that is asked
 * about; where it says of somebody's own water not what it is, it is to be found out before anybody drives there.
 * Source: common practice of public-health offices.
 */
export function questionSurface(visits: readonly Planned[]): Finding[] {
  return visits.filter(isDrunk).flatMap(({ point }): Finding[] => {
    const origin = originOf(point);
    const about = (code: string, severity: Finding['severity']) => [{ code, severity, field: 'visits', data: { name: point.name } }];
    if (point.source === 'surface' && origin !== 'network') return about('surface-untreated', 'question');
    return origin === 'private' && point.source === undefined ? about('private-source-unsaid', 'note') : [];
  });
}

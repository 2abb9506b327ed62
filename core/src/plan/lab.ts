import type { AnalysisId } from '../bottles/index.ts';
import type { Finding } from '../findings/index.ts';
import type { Lab } from '../registers/index.ts';

/** What is asked of a lab that it does not take, each analysis once. A lab of which that is not known is not asked about. */
export function questionLab(lab: Pick<Lab, 'name' | 'takes' | 'intake'> | null, analyses: readonly AnalysisId[]): Finding[] {
  if (!lab) return [];
  const never: Finding[] =
    lab.intake.length === 0 ? [{ code: 'lab-never-opens', severity: 'stop', field: 'lab', data: { lab: lab.name } }] : [];
  const { takes } = lab;
  const refused = takes ? [...new Set(analyses)].filter((id) => !takes.includes(id)) : [];
  return [
    ...never,
    ...refused.map((analysis): Finding => ({ code: 'lab-takes-not', severity: 'stop', field: 'lab', data: { lab: lab.name, analysis } })),
  ];
}

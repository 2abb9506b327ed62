import type { PlannedVisit } from '../plan/index.ts';
import { training, trainingIds, type Person, type TrainingId } from '../registers/index.ts';

/** What a plan asks of whoever goes, in the order of the table. */
export function neededTraining(visits: readonly PlannedVisit[]): TrainingId[] {
  const analyses = new Set<string>(visits.flatMap((visit) => visit.analyses));
  const hazards = new Set<string>(visits.flatMap(({ point }) => point.hazards ?? []));
  const byVisit: Partial<Record<TrainingId, boolean>> = {
    wells: visits.some(({ point }) => point.type === 'well'),
    contaminated: hazards.has('contaminated'),
    confined: hazards.has('pit'),
  };
  return trainingIds.filter((id) => byVisit[id] ?? training(id).kinds.some((kind) => analyses.has(kind)));
}

/** What somebody who goes is not trained for; nothing where nobody said what that is. */
export function missingTraining(visits: readonly PlannedVisit[], { trained }: Pick<Person, 'trained'>): TrainingId[] {
  return trained ? neededTraining(visits).filter((id) => !trained.includes(id)) : [];
}

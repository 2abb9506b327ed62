import type { AnalysisId, BottleTable } from '../bottles/index.ts';
import type { Point } from '../registers/index.ts';
import { faults, fitnesses, testKinds, type FaultRow, type Fitness, type Lasts, type TestKind } from './tables/faults.ts';

export type FaultId = keyof typeof faults;
export const faultIds = Object.keys(faults) as [FaultId, ...FaultId[]];
export const fault = (id: FaultId): FaultRow => faults[id];

/** A fault that was seen, and whether what can be done about it was done. */
export interface FoundFault {
  fault: FaultId;
  isDone: boolean;
}

/** What a place is for one kind of test, and what makes it so: the worst first. */
export interface FitnessFor {
  kind: TestKind;
  fitness: Fitness;
  because: FaultId[];
}

const ofAnalysis: Partial<Record<AnalysisId, TestKind>> = {
  legionella: 'legionella',
  legionellaFlushed: 'legionella',
  lead: 'lead',
  leadFifth: 'lead',
  radon: 'organics',
};
const ofGroup: Partial<Record<string, TestKind>> = { Germs: 'germs', Organics: 'organics', PFAS: 'organics', Disinfection: 'organics' };

/** What an analysis is, as far as the fitness of a place hangs on it. Editions without headings know germs by their bottle alone. */
export function testKindOf(table: BottleTable | null, id: AnalysisId): TestKind {
  const group = table?.analyses[id]?.group;
  return ofAnalysis[id] ?? (group === undefined ? (id === 'coliforms' ? 'germs' : 'chemistry') : (ofGroup[group] ?? 'chemistry'));
}

/** The kinds of tests that are planned, in the order of the table. */
export function testKindsOf(table: BottleTable | null, analyses: readonly AnalysisId[]): TestKind[] {
  const kinds = new Set(analyses.map((id) => testKindOf(table, id)));
  return testKinds.filter((kind) => kinds.has(kind));
}

/** What is left of a fault for a kind of test. */
function effectOf({ fault: id, isDone }: FoundFault, kind: TestKind): Fitness {
  const { effect, can } = fault(id);
  return (isDone && can ? (can.leaves ?? {}) : effect)[kind] ?? 'fit';
}

/** What a place is for each kind of test, by the worst of what is left of its faults. */
export function judgeFitness(found: readonly FoundFault[], kinds: readonly TestKind[]): FitnessFor[] {
  return kinds.map((kind) => {
    const rank = (one: FoundFault) => fitnesses.indexOf(effectOf(one, kind));
    const marked = found.filter((one) => rank(one) > 0).sort((a, b) => rank(b) - rank(a));
    const fitness = fitnesses[Math.max(0, ...marked.map(rank))]!;
    return { kind, fitness, because: marked.map(({ fault: id }) => id) };
  });
}

/** The worst of several. */
export const worstFitness = (all: readonly Pick<FitnessFor, 'fitness'>[]): Fitness =>
  fitnesses[Math.max(0, ...all.map(({ fitness }) => fitnesses.indexOf(fitness)))]!;

/** The faults that may be seen at a point and matter to what is planned there, group by group as the table has them. */
export function faultsAt({ type }: Pick<Point, 'type'>, kinds: readonly TestKind[]): FaultId[] {
  return faultIds.filter((id) => {
    const { at, effect, can } = fault(id);
    return (at === undefined || at === type) && kinds.some((kind) => effect[kind] ?? can?.leaves?.[kind]);
  });
}

/** What must be put back before leaving. */
export function toRestore(found: readonly FoundFault[]): string[] {
  return found.flatMap(({ fault: id, isDone }) => {
    const restore = fault(id).can?.restore;
    return isDone && restore ? [restore] : [];
  });
}

const lasting: readonly Lasts[] = ['today', 'days', 'mended', 'always'];

/** How long a place stays as it is: the longest of what makes it unfit. */
export function lastsFor(because: readonly FaultId[]): Lasts {
  return lasting[Math.max(0, ...because.map((id) => lasting.indexOf(fault(id).lasts)))]!;
}

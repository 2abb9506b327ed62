import type { Data, Finding } from '../findings/index.ts';
import { belowMark, type MeasuringPoint, type Well } from '../registers/index.ts';
import type { LevelOfRecord } from './endpoints.ts';
import type { Tolerances } from './tables/tolerances.ts';

/** What is compared of a level of an earlier visit. */
type RecordedLevel = Pick<LevelOfRecord, 'at' | 'measuringPoint' | 'depth'>;

/** The levels at rest: what a new one is compared with, and what the course of a well is drawn from. */
export const atRest = <L extends Pick<LevelOfRecord, 'water'>>(record: readonly L[]): L[] =>
  record.filter(({ water }) => water === 'static');

/** How much change between two visits is ordinary for this well, in m. */
export function ordinaryStep(record: readonly RecordedLevel[], { jump }: Tolerances): number {
  const ordered = [...record].sort((a, b) => a.at - b.at);
  const steps = ordered.slice(1).map((level, index) => Math.abs(level.depth - ordered[index]!.depth));
  return Math.max(jump.least, jump.timesLargestStep * Math.max(0, ...steps));
}

/** The latest earlier level at the same mark, or null. */
export function lastLevel<L extends RecordedLevel>(record: readonly L[], mark: string): L | null {
  return record.filter((level) => level.measuringPoint === mark).sort((a, b) => b.at - a.at)[0] ?? null;
}

/**
 * Asks on the spot what would otherwise be found in the office: a depth below the bottom of the well, below its screen
 * or intake, above ground, or a jump against the record. `depth` in m below the mark.
 */
export function questionLevel({
  depth,
  mark,
  well,
  record,
  tolerances,
}: {
  depth: number;
  mark: MeasuringPoint;
  well: Well;
  record: readonly RecordedLevel[];
  tolerances: Tolerances;
}): Finding[] {
  const findings: Finding[] = [];
  const ask = (code: string, data: Data = {}) => findings.push({ code, severity: 'question', field: 'depth', data });
  const [bottom, screenBottom, intake] = [well.bottom, well.screenBottom, well.intake].map((one) => belowMark(mark, one));

  if (bottom != null && depth > bottom) ask('below-bottom', { bottom, mark: mark.name });
  else if (mark.stickUp === undefined && well.bottom !== undefined && depth > well.bottom)
    ask('below-bottom-perhaps', { bottom: well.bottom, mark: mark.name });
  else if (screenBottom != null && depth > screenBottom) ask('below-screen', { bottom: screenBottom });
  else if (intake != null && depth > intake) ask('below-intake', { intake });
  if (mark.stickUp !== undefined && depth < mark.stickUp) ask('above-ground');

  const last = lastLevel(record, mark.name);
  const step = ordinaryStep(
    record.filter((level) => level.measuringPoint === mark.name),
    tolerances,
  );
  if (last && Math.abs(depth - last.depth) > step) ask('jump', { by: depth - last.depth, step });
  return findings;
}

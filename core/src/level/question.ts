import type { Data, Finding } from '../findings/index.ts';
import { bottomBelow, type MeasuringPoint, type Well } from '../registers/index.ts';
import type { Tolerances } from './tables/tolerances.ts';

/** A level of an earlier visit: depth in m below the measuring point of that name, at a moment in ms. */
export interface RecordedLevel {
  at: number;
  measuringPoint: string;
  depth: number;
}

/** How much change between two visits is ordinary for this well, in m. */
export function ordinaryStep(record: readonly RecordedLevel[], { jump }: Tolerances): number {
  const ordered = [...record].sort((a, b) => a.at - b.at);
  const steps = ordered.slice(1).map((level, index) => Math.abs(level.depth - ordered[index]!.depth));
  return Math.max(jump.least, jump.timesLargestStep * Math.max(0, ...steps));
}

/** The latest earlier level at the same mark, or null. */
export function lastLevel(record: readonly RecordedLevel[], mark: string): RecordedLevel | null {
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
  const bottom = bottomBelow(mark, well);
  const ground = depth - mark.stickUp;

  if (bottom !== null && depth > bottom) ask('below-bottom', { bottom, mark: mark.name });
  else if (well.screenBottom !== undefined && ground > well.screenBottom) ask('below-screen', { bottom: well.screenBottom + mark.stickUp });
  else if (well.intake !== undefined && ground > well.intake) ask('below-intake', { intake: well.intake + mark.stickUp });
  if (ground < 0) ask('above-ground');

  const last = lastLevel(record, mark.name);
  const step = ordinaryStep(
    record.filter((level) => level.measuringPoint === mark.name),
    tolerances,
  );
  if (last && Math.abs(depth - last.depth) > step) ask('jump', { by: depth - last.depth, step });
  return findings;
}

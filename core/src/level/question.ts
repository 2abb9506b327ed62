import type { Finding } from '../findings/index.ts';
import { bottomBelow, type MeasuringPoint, type Well } from '../registers/index.ts';
import { show } from '../units/index.ts';
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
  const ask = (code: string, message: string, advice: string) =>
    findings.push({ code, severity: 'question', message, advice, about: 'depth' });
  const bottom = bottomBelow(mark, well);
  const ground = depth - mark.stickUp;

  if (depth > bottom) {
    ask(
      'below-bottom',
      `The well ends at ${show(bottom, 'm', 2)} below ${mark.name}.`,
      'Check the mark on the tape and the unit, then read again.',
    );
  } else if (ground > well.screenBottom) {
    ask(
      'below-screen',
      `That is below the screen, which ends at ${show(well.screenBottom + mark.stickUp, 'm', 2)}.`,
      'Read again; the tape may be in the sump.',
    );
  } else if (well.intake !== undefined && ground > well.intake) {
    ask(
      'below-intake',
      `That is below the pump intake at ${show(well.intake + mark.stickUp, 'm', 2)}.`,
      'Do not start the pump. Read again.',
    );
  }
  if (ground < 0) ask('above-ground', 'That is above ground.', 'Is the well flowing by itself? Else read again.');

  const last = lastLevel(record, mark.name);
  const step = ordinaryStep(
    record.filter((level) => level.measuringPoint === mark.name),
    tolerances,
  );
  if (last && Math.abs(depth - last.depth) > step) {
    const way = depth > last.depth ? 'lower' : 'higher';
    ask(
      'jump',
      `The water stands ${show(Math.abs(depth - last.depth), 'm', 2)} ${way} than last time; up to ${show(step, 'm', 2)} is usual here.`,
      'Read again. Is it the right well and the right mark? Is a pump running nearby?',
    );
  }
  return findings;
}

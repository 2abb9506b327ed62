import type { Data, Finding } from '../findings/index.ts';
import { belowMark, type MeasuringPoint, type Well } from '../registers/index.ts';
import { besideJump, unlikeBeside, type Beside } from './beside.ts';
import type { LevelOfRecord } from './endpoints.ts';
import { expectedLevel } from './expected.ts';
import { slips } from './slips.ts';
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

/** What a depth is asked about by the well alone. */
function questionReach(depth: number, mark: MeasuringPoint, well: Well): Finding[] {
  const findings: Finding[] = [];
  const ask = (code: string, data: Data = {}) => findings.push({ code, severity: 'question', field: 'depth', data });
  const [bottom, screenBottom, intake] = [well.bottom, well.screenBottom, well.intake].map((one) => belowMark(mark, one));
  if (bottom != null && depth > bottom) ask('below-bottom', { bottom, mark: mark.name });
  else if (mark.stickUp === undefined && well.bottom !== undefined && depth > well.bottom)
    ask('below-bottom-perhaps', { bottom: well.bottom, mark: mark.name });
  else if (screenBottom != null && depth > screenBottom) ask('below-screen', { bottom: screenBottom });
  else if (intake != null && depth > intake) ask('below-intake', { intake });
  if (mark.stickUp !== undefined && depth < mark.stickUp) ask('above-ground');
  return findings;
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
  at,
  beside = [],
}: {
  depth: number;
  mark: MeasuringPoint;
  well: Well;
  record: readonly RecordedLevel[];
  tolerances: Tolerances;
  /** When it was read (ms); without it the season is not looked at. */
  at?: number;
  /** Wells near by. */
  beside?: readonly Beside[];
}): Finding[] {
  const findings = questionReach(depth, mark, well);
  const ask = (code: string, data: Data = {}) => findings.push({ code, severity: 'question', field: 'depth', data });
  const ofMark = record.filter((level) => level.measuringPoint === mark.name);
  const last = lastLevel(ofMark, mark.name);
  if (!last) return findings;
  const expected = at === undefined ? null : expectedLevel(ofMark, at, tolerances);
  const step = ordinaryStep(ofMark, tolerances);
  const [about, half] = expected ? [expected.depth, expected.half] : [last.depth, step];
  const judged = at === undefined ? null : { depth, at, last, record: [...ofMark].sort((a, b) => a.at - b.at) };
  if (Math.abs(depth - about) <= half) return judged ? [...findings, ...unlikeBeside(judged, beside, tolerances)] : findings;
  const slip = slips.find(({ times }) => Math.abs(depth * times - about) <= half);
  if (slip) ask('slip', { as: slip.as, would: depth * slip.times });
  else if (expected) ask('unlike-record', { by: depth - about, half, readings: expected.readings, expected: about });
  else ask('jump', { by: depth - last.depth, step });
  return slip || !judged ? findings : [...findings, ...besideJump(judged, beside)];
}

/** A tape that stops so far above the bottom, in m, has not shown that a well is dry. Common practice: what lies in a sump. */
const bottomMayDiffer = 0.5;

/**
 * Whether a tape that came down to a depth shows that a well is dry: not where water stood higher up last time, and not while the
 * well goes on below it. Depths in m below the mark.
 */
export function questionDry(reached: number, mark: MeasuringPoint, well: Well, record: readonly RecordedLevel[]): Finding[] {
  const ask = (code: string, data: Data): Finding[] => [{ code, severity: 'question', field: 'reached', data: { reached, ...data } }];
  const bottom = belowMark(mark, well.bottom);
  if (bottom != null && reached < bottom - bottomMayDiffer) {
    const last = lastLevel(record, mark.name);
    return last && last.depth < reached ? ask('dry-above-record', { last: last.depth }) : ask('dry-above-bottom', { bottom });
  }
  return [];
}

/** A logger further than this from the level by hand, in m, is asked about. Common practice: twice what its sensor and the tape tell. */
const loggerMayDiffer = 0.02;

/** What is odd about what a logger shows, beside the level by hand; both in m below the mark. */
export function questionLogger(shows: number, depth: number): Finding[] {
  const by = shows - depth;
  return Math.abs(by) > loggerMayDiffer ? [{ code: 'logger-off', severity: 'question', field: 'shows', data: { by } }] : [];
}

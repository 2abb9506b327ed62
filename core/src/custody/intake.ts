import type { Lab } from '../registers/index.ts';
import { atWall, dateAfter, wallTime } from '../time/index.ts';

/** A span of time in ms in which the lab takes samples in. */
export interface IntakeSpan {
  opens: number;
  closes: number;
}

/** The lab's intake on the day that a moment falls on, by the lab's own wall clock; null when it is closed that day. */
export function intakeOn(lab: Lab, moment: number, bacteria: boolean): IntakeSpan | null {
  const { date, weekday } = wallTime(moment, lab.zone);
  if (lab.closedDays.some((day) => day.date === date)) return null;
  const hours = lab.intake.find((row) => row.weekday === weekday);
  if (!hours) return null;
  const early = bacteria ? lab.bacteriaCloses[String(weekday)] : undefined;
  if (early === null) return null;
  return { opens: atWall(date, hours.opens, lab.zone), closes: atWall(date, early ?? hours.closes, lab.zone) };
}

/** Whether the lab takes samples in at a moment. */
export function isIntakeOpen(lab: Lab, moment: number, bacteria: boolean): boolean {
  const span = intakeOn(lab, moment, bacteria);
  return span !== null && moment >= span.opens && moment <= span.closes;
}

/** The intake that is open now or opens next, within two weeks; null when there is none. */
export function nextIntake(lab: Lab, moment: number, bacteria: boolean): IntakeSpan | null {
  const { date } = wallTime(moment, lab.zone);
  for (let ahead = 0; ahead < 15; ahead += 1) {
    // By the calendar: a day on which the clocks are changed has 23 or 25 hours.
    const span = intakeOn(lab, atWall(dateAfter(date, ahead), '12:00', lab.zone), bacteria);
    if (span && span.closes >= moment) return span;
  }
  return null;
}

/**
 * The last moment, up to a deadline, at which the lab takes a sample in that exists from another moment on; null where its intake does
 * not open between them. All in ms. Both ends count: exactly at the deadline is in time.
 */
export function latestHandOver(lab: Lab, from: number, deadline: number, bacteria: boolean): number | null {
  const { date } = wallTime(deadline, lab.zone);
  for (let back = 0; ; back += 1) {
    const noon = atWall(dateAfter(date, -back), '12:00', lab.zone);
    const span = intakeOn(lab, noon, bacteria);
    if (span) {
      const latest = Math.min(span.closes, deadline);
      if (latest >= Math.max(span.opens, from)) return latest;
    }
    // The day before the one on which it was filled brings nothing.
    if (noon < from - 86_400_000) return null;
  }
}

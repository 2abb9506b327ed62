import type { Lab } from '../registers/index.ts';
import { atWall, day, wallTime } from '../time/index.ts';

/** A span of time in ms in which the lab takes samples in. */
export interface IntakeSpan {
  opens: number;
  closes: number;
}

/** The lab's intake on the day that a moment falls on, by the lab's own wall clock; null when it is closed that day. */
export function intakeOn(lab: Lab, moment: number, bacteria: boolean): IntakeSpan | null {
  const { date, weekday } = wallTime(moment, lab.zone);
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
  for (let ahead = 0; ahead < 15; ahead += 1) {
    const span = intakeOn(lab, moment + ahead * day, bacteria);
    if (span && span.closes >= moment) return span;
  }
  return null;
}

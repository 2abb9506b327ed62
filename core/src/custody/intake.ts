import { rowOfLab, type RuleId } from '../bottles/index.ts';
import type { Lab } from '../registers/index.ts';
import { atWall, dateAfter, wallTime } from '../time/index.ts';

/** A span of time in ms in which the lab takes samples in. */
export interface IntakeSpan {
  opens: number;
  closes: number;
}

/** What of a lab says when it takes a bottle in. */
export type Door = Pick<Lab, 'zone' | 'intake' | 'cutOffs' | 'closedDays'>;

/** Until when a bottle is taken in on a weekday: null not at all, '24:00' as long as the door is open. */
function cutOffOn({ cutOffs }: Door, weekday: number, rule: string): string | null {
  const row = rowOfLab(rule as RuleId, (one) => cutOffs.some(({ bottles }) => bottles.includes(one)));
  if (row === null) return '24:00';
  const own = cutOffs.filter(({ bottles, weekdays }) => bottles.includes(row) && (weekdays.length === 0 || weekdays.includes(weekday)));
  return own.reduce<string | null>(
    (first, { closes }) => (first === null || closes === null ? null : closes < first ? closes : first),
    '24:00',
  );
}

/** When the lab takes a bottle in on the day that a moment falls on, by the lab's own wall clock, the earliest first; nothing where it is shut. */
export function intakesOn(lab: Door, moment: number, rule: string): IntakeSpan[] {
  const { date, weekday } = wallTime(moment, lab.zone);
  if (lab.closedDays.some((day) => day.date === date)) return [];
  const until = cutOffOn(lab, weekday, rule);
  if (until === null) return [];
  return lab.intake
    .filter((row) => row.weekday === weekday && row.opens <= until)
    .map(({ opens, closes }) => ({
      opens: atWall(date, opens, lab.zone),
      closes: atWall(date, closes < until ? closes : until, lab.zone),
    }))
    .sort((a, b) => a.opens - b.opens);
}

/** Whether the lab takes a bottle in at a moment. */
export function isIntakeOpen(lab: Door, moment: number, rule: string): boolean {
  return intakesOn(lab, moment, rule).some(({ opens, closes }) => moment >= opens && moment <= closes);
}

/** The intake that is open now or opens next, within two weeks; null when there is none. */
export function nextIntake(lab: Door, moment: number, rule: string): IntakeSpan | null {
  const { date } = wallTime(moment, lab.zone);
  for (let ahead = 0; ahead < 15; ahead += 1) {
    // By the calendar: a day on which the clocks are changed has 23 or 25 hours.
    const span = intakesOn(lab, atWall(dateAfter(date, ahead), '12:00', lab.zone), rule).find(({ closes }) => closes >= moment);
    if (span) return span;
  }
  return null;
}

/**
 * The last moment, up to a deadline, at which the lab takes a sample in that exists from another moment on; null where its intake does
 * not open between them. All in ms. Both ends count: exactly at the deadline is in time.
 */
export function latestHandOver(lab: Door, from: number, deadline: number, rule: string): number | null {
  const { date } = wallTime(deadline, lab.zone);
  for (let back = 0; ; back += 1) {
    const noon = atWall(dateAfter(date, -back), '12:00', lab.zone);
    for (const { opens, closes } of intakesOn(lab, noon, rule).reverse()) {
      const latest = Math.min(closes, deadline);
      if (latest >= Math.max(opens, from)) return latest;
    }
    // The day before the one on which it was filled brings nothing.
    if (noon < from - 86_400_000) return null;
  }
}

/**
 * Until when a lab accepts a kind of bottle on the day of a moment (ms), where its door is open yet or opens still; else when it opens next.
 * Null for a lab that opens for it in none of the next two weeks.
 */
export function doorFor(lab: Door, moment: number, rule: string): { until: number } | { opens: number } | null {
  const last = intakesOn(lab, moment, rule).at(-1);
  if (last && last.closes >= moment) return { until: last.closes };
  const next = nextIntake(lab, moment, rule);
  return next && { opens: next.opens };
}

import type { RuleId } from '../bottles/index.ts';
import { intakesOn, nextIntake } from '../custody/index.ts';
import type { DropOff, Lab, Position } from '../registers/index.ts';
import { atWall, wallTime } from '../time/index.ts';
import { inBoth, type Door, type Span } from './solve/problem.ts';
import { usual } from './tables/usual.ts';

/** A door at which a day's bottles are handed over, and where it is. */
export interface PlacedDoor extends Door {
  position: Position | undefined;
}

/** The place of a lab by its name where bottles are left for it; undefined for its own door, or where it has no such place any more. */
export const dropOffOf = (lab: Lab | null, name: string | undefined): DropOff | undefined => lab?.dropOffs.find((one) => one.name === name);

/** When a lab takes bottles in on a day: all of them together, and each kind. */
function atLab(lab: Lab, noon: number, rules: readonly RuleId[]): Door {
  const byRule = Object.fromEntries(
    rules.map((rule): [string, Span[]] => [rule, intakesOn(lab, noon, rule).map(({ opens, closes }) => ({ from: opens, to: closes }))]),
  );
  return { intake: Object.values(byRule).reduce(inBoth), byRule };
}

/** When bottles may be left for a lab on a day, and when the last of them are at the lab: fetched at the end of its hours, taken in when its door is open. */
function atDropOff(lab: Lab, { hours, toLab }: DropOff, noon: number, rules: readonly RuleId[]): Door {
  const { date, weekday } = wallTime(noon, lab.zone);
  const isShut = lab.closedDays.some((day) => day.date === date);
  const intake = hours
    .filter((row) => !isShut && row.weekday === weekday)
    .map(({ opens, closes }) => ({ from: atWall(date, opens, lab.zone), to: atWall(date, closes, lab.zone) }));
  const fetched = intake.reduce((last, { to }) => Math.max(last, to), -Infinity);
  if (fetched === -Infinity) return { intake: [], reaches: noon };
  const brought = fetched + toLab * 1000;
  const takenIn = rules.map((rule) => nextIntake(lab, brought, rule)?.opens ?? Infinity);
  const reaches = Math.max(brought, ...takenIn);
  return reaches < Infinity ? { intake, reaches } : { intake: [], reaches: brought };
}

/** The door at which bottles of some kinds are handed over on a day; until the evening where nothing is brought anywhere. */
export function doorOn(
  { date, zone, lab }: { date: string; zone: string; lab: Lab | null },
  rules: readonly RuleId[],
  name: string | undefined,
  home: Position | undefined,
): PlacedDoor {
  if (!lab || rules.length === 0) return { intake: [{ from: 0, to: atWall(date, usual.evening, zone) }], position: home };
  const noon = atWall(date, '12:00', zone);
  const dropOff = dropOffOf(lab, name);
  return dropOff
    ? { ...atDropOff(lab, dropOff, noon, rules), position: dropOff.position }
    : { ...atLab(lab, noon, rules), position: lab.position ?? home };
}

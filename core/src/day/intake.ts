import { cardOf, type BottleTable, type RuleId } from '../bottles/index.ts';
import { holdingOf, intakesOn, latestHandOver, nextIntake } from '../custody/index.ts';
import type { Finding } from '../findings/index.ts';
import type { Lab } from '../registers/index.ts';
import { atWall } from '../time/index.ts';

/**
 * What a lab does not take in on the day (`YYYY-MM-DD`) of a round, said while it is planned: kinds that are too old before its door opens
 * for them, and those that wait until then. Nothing of a lab without hours: that is asked for itself.
 */
export function questionIntake(lab: Lab | null, date: string, rules: readonly RuleId[], table: BottleTable): Finding[] {
  if (!lab || lab.intake.length === 0 || rules.length === 0) return [];
  const noon = atWall(date, '12:00', lab.zone);
  const shut = rules.filter((rule) => intakesOn(lab, noon, rule).length === 0);
  const isLost = (rule: RuleId) => latestHandOver(lab, noon, holdingOf(rule, cardOf(table, rule), noon, lab).deadline, rule) === null;
  const lost = shut.filter(isLost);
  const waiting = shut.filter((rule) => !lost.includes(rule));
  const named = (of: readonly RuleId[]) => of.map((rule) => cardOf(table, rule).name.toLowerCase()).join(', ');
  const opens = Math.min(...waiting.map((rule) => nextIntake(lab, noon, rule)?.opens ?? Infinity));
  return [
    ...(lost.length > 0
      ? [{ code: 'lab-shut-too-long', severity: 'question' as const, field: 'date', data: { lab: lab.name, date, kinds: named(lost) } }]
      : []),
    ...(waiting.length > 0
      ? [
          {
            code: 'lab-shut',
            severity: 'question' as const,
            field: 'date',
            data: { lab: lab.name, date, kinds: named(waiting), opens: opens < Infinity ? opens : 0, zone: lab.zone },
          },
        ]
      : []),
  ];
}

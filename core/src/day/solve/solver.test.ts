import highsOf from 'highs';
import { expect, it } from 'vitest';
import { madeUpDay } from '../../../test/days.ts';
import { minute } from '../../time/index.ts';
import { solveDay, type DayProblem } from '../index.ts';

/** Days that a general solver is asked about as well: few in `npm test`, more in `npm run test:long`. */
const days = Number(process.env['FONTE_SOLVER_DAYS'] ?? 1);
const stopsOf = Number(process.env['FONTE_SOLVER_STOPS'] ?? 5);

/**
 * The same day as a mixed-integer program in minutes (Miller, Tucker and Zemlin 1960, with the times as potentials), for HiGHS: which
 * drives are made, when work begins, in which window, and when it is handed over, as early as may be. Days without a pause, and with
 * one span in which the lab takes things in.
 */
function asProgram({ stops, travel, start, intake }: DayProblem): string {
  const count = stops.length;
  // No day lasts longer, and no drive takes more of it, from its first minute on.
  const [home, lab, latest, most] = [count, count + 1, 1300, 900];
  const at = (milliseconds: number) => Math.round(milliseconds / minute);
  const drives = [...stops.keys(), home].flatMap((from) =>
    [...stops.keys(), lab].flatMap((to) =>
      from === to || (from === home && to === lab) ? [] : [{ from, to, x: `x${from}_${to}`, lasts: at(travel[from]![to]!) }],
    ),
  );
  const sum = (some: readonly { x: string }[]) => some.map(({ x }) => x).join(' + ');
  const rules: string[] = [];
  for (const node of [...stops.keys(), home]) rules.push(`${sum(drives.filter(({ from }) => from === node))} = 1`);
  for (const node of [...stops.keys(), lab]) rules.push(`${sum(drives.filter(({ to }) => to === node))} = 1`);
  for (const { from, to, x, lasts } of drives) {
    const ready = from === home ? { name: '', plus: at(start) } : { name: `- b${from}`, plus: at(stops[from]!.lasts) };
    rules.push(`${to === lab ? 'h' : `b${to}`} ${ready.name} - ${most} ${x} >= ${ready.plus + lasts - most}`);
  }
  const windows: string[] = [];
  for (const [number, { windows: spans, lasts, bottles, after }] of stops.entries()) {
    const names = spans.map((_, index) => `w${number}_${index}`);
    windows.push(...names);
    if (spans.length > 0) rules.push(`${names.join(' + ')} = 1`);
    for (const [index, { from, to }] of spans.entries()) {
      rules.push(`b${number} - ${most} w${number}_${index} >= ${at(from) - most}`);
      rules.push(`b${number} + ${most} w${number}_${index} <= ${at(to) - at(lasts) + most}`);
    }
    for (const { filledAfter, keeps } of bottles) rules.push(`h - b${number} <= ${at(filledAfter) + at(keeps)}`);
    for (const before of after) rules.push(`b${number} - b${before} >= ${at(stops[before]!.lasts)}`);
  }
  const [span] = intake;
  return [
    'Minimize',
    ' h',
    'Subject To',
    ...rules.map((rule, index) => ` r${index}: ${rule}`),
    'Bounds',
    ` ${at(span!.from)} <= h <= ${at(span!.to)}`,
    ...[...stops.keys()].map((number) => ` ${at(start)} <= b${number} <= ${latest}`),
    'Binary',
    ` ${[...drives.map(({ x }) => x), ...windows].join(' ')}`,
    'End',
  ].join('\n');
}

it(`is as early as a general solver makes it, on ${days} days of ${stopsOf} stops`, async () => {
  const highs = await highsOf();
  for (let seed = 0; seed < days; seed += 1) {
    const problem = { ...madeUpDay(300 + seed, stopsOf, true), lunch: null, intake: [{ from: 480 * minute, to: 1300 * minute }] };
    const { Status, ObjectiveValue } = highs.solve(asProgram(problem), { time_limit: 120 });
    const solved = solveDay(problem);
    if (Status === 'Infeasible') expect(solved, String(seed)).toBeNull();
    else {
      expect(Status, String(seed)).toBe('Optimal');
      expect(solved!.day.handOver / minute, String(seed)).toBeCloseTo(ObjectiveValue, 3);
    }
  }
}, 7_200_000);

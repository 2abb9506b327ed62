import type { Entry } from '../book/index.ts';
import type { VerdictState } from '../limits/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import { parameter } from '../parameters/index.ts';
import { endOfDay, hour, millis } from '../time/index.ts';
import { actionDone } from './entries.ts';
import { followUpRules, type FollowUpRule } from './tables/rules.ts';

/** A judged result with what a follow-up depends on. */
export interface Occasion {
  visit: string;
  pointName: string;
  use: 'supply' | 'monitoring';
  sample: 'routine' | 'special';
  parameter: ParameterId;
  state: VerdictState;
}

/** Something that must be done by a deadline (ms). Its id is stable: one rule at one point. */
export interface FollowUp {
  id: string;
  visit: string;
  pointName: string;
  do: string;
  because: string;
  due: number;
  source: string;
  done: { at: number; note: string; entry: string } | null;
}

/** A bottle that the lab refused, with the moment (ms) of its answer. */
export interface RefusedBottle {
  bottle: string;
  visit: string;
  pointName: string;
  reason: string;
  at: number;
}

/** A refused sample should be taken again within three days. Common practice. */
const resampleWithin = 72 * hour;

function doneBy(entries: readonly Entry[], id: string): FollowUp['done'] {
  const entry = entries.filter(actionDone.is).findLast((candidate) => candidate.payload.action === id);
  return entry ? { at: millis(entry.at), note: entry.payload.note, entry: entry.id } : null;
}

/** What must be done about refused bottles: sample again, with the reason. */
export function resamples(refused: readonly RefusedBottle[], entries: readonly Entry[]): FollowUp[] {
  return refused.map(({ bottle, visit, pointName, reason, at }) => {
    const id = `resample:${bottle}`;
    return {
      id,
      visit,
      pointName,
      do: `Sample again: the lab refused ${bottle}.`,
      because: reason,
      due: at + resampleWithin,
      source: 'Common practice',
      done: doneBy(entries, id),
    };
  });
}

function applies({ when }: FollowUpRule, occasion: Occasion): boolean {
  return (
    when.states.includes(occasion.state) &&
    (!when.parameters || when.parameters.includes(occasion.parameter)) &&
    !when.notParameters?.includes(occasion.parameter) &&
    (!when.use || when.use === occasion.use) &&
    (!when.sample || when.sample === occasion.sample)
  );
}

/**
 * What must be done about the judged results of a round, soonest first. Deadlines run from the arrival of the report
 * (ms); `zone` is the site's, for the end of the day.
 */
export function followUps({
  occasions,
  arrived,
  zone,
  entries,
}: {
  occasions: readonly Occasion[];
  arrived: number;
  zone: string;
  entries: readonly Entry[];
}): FollowUp[] {
  const found = new Map<string, FollowUp>();
  for (const rule of followUpRules) {
    for (const occasion of occasions.filter((candidate) => applies(rule, candidate))) {
      const id = `${rule.id}:${occasion.visit}`;
      const name = parameter(occasion.parameter).name;
      const before = found.get(id);
      if (before) {
        if (!before.because.split(', ').includes(name)) before.because += `, ${name}`;
        continue;
      }
      found.set(id, {
        id,
        visit: occasion.visit,
        pointName: occasion.pointName,
        do: rule.do,
        because: name,
        source: rule.source,
        due: 'hours' in rule.due ? arrived + rule.due.hours * hour : endOfDay(arrived, zone),
        done: doneBy(entries, id),
      });
    }
  }
  return [...found.values()].sort((a, b) => a.due - b.due);
}

import { purpose as purposeRow, cardOf, rulesFor, type BottleTable, type ExtraEvery } from '../bottles/index.ts';
import type { PlannedVisit } from './entries.ts';
import type { PlannedExtra } from './plan.ts';

/** A blank or duplicate that belongs to what is planned, and is not planned itself. */
export interface MissingExtra extends Pick<PlannedExtra, 'visit' | 'analysis' | 'purpose'> {
  /** How often it belongs to these bottles. */
  every: ExtraEvery;
}

/** So few samples of a kind ask for no duplicate yet. Common practice. */
const fewSamples = 5;

/** Where a visit is, as far as one blank serves: its building, or else its place. */
const siteOf = ({ point }: PlannedVisit) => point.building ?? point.place;

/** The visits of several that one more extra goes with, spread evenly over them. */
function spread(visits: readonly PlannedVisit[], count: number): PlannedVisit[] {
  return Array.from({ length: count }, (_, index) => visits[Math.floor((index * visits.length) / count)]!);
}

function wanted(every: ExtraEvery, visits: readonly PlannedVisit[]): PlannedVisit[][] {
  if (every === 'round') return [[...visits]];
  if (every === 'building')
    return [...new Map(visits.map((visit) => [siteOf(visit), visits.filter((one) => siteOf(one) === siteOf(visit))])).values()];
  return visits.length < fewSamples ? [] : Array.from({ length: Math.ceil(visits.length / every) }, () => [...visits]);
}

/**
 * Blanks and duplicates that the bottle rules ask for, and the plan does not have. Gear that is cleaned between points is used at
 * wells: there alone an equipment blank is asked for.
 */
export function missingExtras(
  visits: readonly PlannedVisit[],
  table: BottleTable,
  extras: readonly Pick<PlannedExtra, 'visit' | 'analysis' | 'purpose'>[],
): MissingExtra[] {
  const found: MissingExtra[] = [];
  const analyses = [...new Set(visits.flatMap((visit) => visit.analyses))];
  const seen = new Set<string>();
  for (const analysis of analyses) {
    for (const { purpose, every } of rulesFor(table, [analysis]).flatMap((rule) => cardOf(table, rule).extras ?? [])) {
      if (seen.has(`${analysis} ${purpose}`)) continue;
      seen.add(`${analysis} ${purpose}`);
      const at = visits.filter(
        (visit) => visit.analyses.includes(analysis) && (purpose !== 'equipment-blank' || visit.point.type === 'well'),
      );
      if (at.length > 0) found.push(...lacking({ analysis, purpose, every }, at, extras));
    }
  }
  return found;
}

function lacking(
  extra: Pick<MissingExtra, 'analysis' | 'purpose' | 'every'>,
  at: readonly PlannedVisit[],
  extras: readonly Pick<PlannedExtra, 'visit' | 'analysis' | 'purpose'>[],
): MissingExtra[] {
  const has = (visit: PlannedVisit) =>
    extras.some(
      (one) =>
        one.visit === visit.id &&
        one.analysis === extra.analysis &&
        [one.purpose, purposeRow(one.purpose).standsFor].includes(extra.purpose),
    );
  const groups = wanted(extra.every, at);
  if (typeof extra.every === 'number') {
    const free = at.filter((visit) => !has(visit));
    const missing = Math.min(free.length, Math.max(0, groups.length - at.filter(has).length));
    return spread(free, missing).map((visit) => ({ ...extra, visit: visit.id }));
  }
  return groups.filter((group) => !group.some(has)).map((group) => ({ ...extra, visit: group[0]!.id }));
}

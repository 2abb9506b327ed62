import { isDisinfected } from '../registers/index.ts';
import { cardAt, rulesFor, type BottleTable } from '../bottles/index.ts';
import type { ParameterId } from '../parameters/index.ts';
import type { PlannedVisit } from '../plan/index.ts';
import { instrumentFor } from './check.ts';
import { packing, type PackRow } from './tables/packing.ts';

export type PackId = keyof typeof packing;
export const packIds = Object.keys(packing) as [PackId, ...PackId[]];
export const packRow = (id: PackId): PackRow => packing[id];

/** What the protocols of a visit measure on the way. */
export type MeasuredAt = (visit: PlannedVisit) => readonly ParameterId[];

/** What is true of a visit, as far as the packing list asks. */
function factsOf(visit: PlannedVisit, table: BottleTable, measuredAt: MeasuredAt) {
  const { point, analyses } = visit;
  const cards = rulesFor(table, analyses).map((rule) => cardAt(table, rule, point));
  return {
    type: point.type,
    groups: new Set(analyses.flatMap((id) => table.analyses[id]?.group ?? [])),
    isSampled: analyses.length > 0,
    isCooled: cards.some(({ temperature }) => temperature !== 'any'),
    isMild: cards.some(({ temperature }) => temperature === 'cool'),
    isFiltered: cards.some(({ filter }) => filter !== null),
    isCaustic: cards.some(({ preservative }) => /gloves and eye protection/.test(preservative?.hazard ?? '')),
    isChlorineRead: isDisinfected(point) || measuredAt(visit).some((id) => instrumentFor(id) === 'photometer'),
    hazards: new Set<string>(point.hazards ?? []),
  };
}

type Facts = ReturnType<typeof factsOf>;

function holds({ groups, hazards, type, ...flags }: NonNullable<PackRow['when']>, facts: Facts): boolean {
  return (
    (!type || type === facts.type) &&
    (!groups || groups.some((group) => facts.groups.has(group))) &&
    (!hazards || hazards.some((hazard) => facts.hazards.has(hazard))) &&
    (Object.keys(flags) as (keyof typeof flags)[]).every((flag) => !flags[flag] || facts[flag])
  );
}

/** What goes along for these visits, in the order of the table. What holds at one point alone is on the list. */
export function packingList(visits: readonly PlannedVisit[], table: BottleTable, measuredAt: MeasuredAt = () => []): PackId[] {
  const facts = visits.map((visit) => factsOf(visit, table, measuredAt));
  return packIds.filter((id) => {
    const { when } = packRow(id);
    return !when || facts.some((one) => holds(when, one));
  });
}

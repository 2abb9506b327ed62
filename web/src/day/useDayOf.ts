import type { DayOf } from '@fonte/core/day';
import { levelRecord } from '@fonte/core/level';
import { useMemo } from 'react';
import useSWR from 'swr';
import { readOrKept } from '../api/kept.ts';
import { useRound } from '../book/useRound.ts';
import { useOutOfUse } from '../book/useOutOfUse.ts';

/** The last level at rest of each well of a round, by its point. */
function useDepths(wells: readonly string[]): ReadonlyMap<string, number> {
  const { data } = useSWR(
    ['depths', ...wells],
    () =>
      Promise.all(
        wells.map(async (point) => {
          const levels = await readOrKept(levelRecord, { in: { point } }).catch(() => []);
          return [point, levels.filter(({ water }) => water === 'static').at(-1)?.depth] as const;
        }),
      ),
    // The record hardly changes within a day, and a purge's minutes do not hang on millimetres.
    { revalidateOnFocus: false, revalidateOnReconnect: false, dedupingInterval: 600_000 },
  );
  return useMemo(() => new Map((data ?? []).flatMap(([point, depth]) => (depth === undefined ? [] : [[point, depth] as const]))), [data]);
}

/** What of the round makes its day; null where this copy does not have its bottles. */
export function useDayOf(): DayOf | null {
  const { plan, tables, extras } = useRound().round;
  const depths = useDepths(plan.visits.flatMap(({ point }) => (point.type === 'well' ? [point.id] : [])));
  const outOfUse = useOutOfUse();
  if (!tables.bottles) return null;
  const { date, zone, code, lab } = plan;
  const visits = plan.visits.map((visit) => ({ ...visit, point: { ...visit.point, outOfUse: outOfUse(visit.point) } }));
  return { date, zone, code, visits, lab, table: tables.bottles, extras, depths };
}

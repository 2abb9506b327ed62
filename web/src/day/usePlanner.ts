import { tellDay, type DayOf, type DayTold, type Proposal, type Remedy } from '@fonte/core/day';
import type { DaySettings } from '@fonte/core/plan';
import type { Lab } from '@fonte/core/registers';
import { wrap, type Remote } from 'comlink';
import { useMemo } from 'react';
import useSWR from 'swr';
import type { Planner } from './planner.worker.ts';

let remote: Remote<Planner> | null = null;

/** The worker that plans, begun when it is first asked. */
function planner(): Remote<Planner> {
  remote ??= wrap<Planner>(new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

/** An order that a person gives a day, and after which visit the cooler is emptied on the way, where it is. */
export interface OwnOrder {
  order: readonly string[];
  after: string | undefined;
}

const withAfter = (settings: DaySettings, after: string | undefined): DaySettings =>
  settings.midway && after !== undefined ? { ...settings, midway: { ...settings.midway, after } } : settings;

const once = { revalidateOnFocus: false, revalidateOnReconnect: false };

export interface Planned {
  proposal: Proposal | undefined;
  /** The order that a person gave it; null while it is the proposed one. */
  own: DayTold | null;
  /** What would help a day that cannot be done; undefined while it is sought. */
  remedies: readonly Remedy[] | undefined;
  isWeighing: boolean;
  error: unknown;
}

/** The best order of a day, and beside it the one that a person gave it, timed at once. */
export function usePlanner(of: DayOf, settings: DaySettings, labs: readonly Lab[], own: OwnOrder | null): Planned {
  const key = JSON.stringify([of.date, of.code, of.visits, of.extras, of.lab, [...of.depths], settings, labs.map(({ id }) => id)]);
  const { data, error, isValidating } = useSWR(['day', key], () => planner().propose(of, settings), { ...once, keepPreviousData: true });
  // After the order, which is shown at once: a dozen days are weighed for it.
  const isSought = data !== undefined && !isValidating && data.faults.length > 0;
  const help = useSWR(isSought ? ['help', key] : null, () => planner().help(of, settings, labs), once);
  // By what it is made of: a round is folded anew all the time.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const told = useMemo(() => (own ? tellDay(of, withAfter(settings, own.after), own.order) : null), [key, own?.order.join(), own?.after]);
  return { proposal: data, own: told, remedies: help.data, isWeighing: isValidating, error: error ?? help.error };
}

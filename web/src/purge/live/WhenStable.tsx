import { inText } from '@fonte/core/parameters';
import { countingSets, readingSets, readingSteps, type Estimate, type NoEstimate, type PurgeState } from '@fonte/core/purge';
import { wrap, type Remote } from 'comlink';
import useSWR from 'swr';
import { useRound } from '../../book/useRound.ts';
import { showTime } from '../../time/show.ts';
import type { Estimator } from './estimate.worker.ts';

let remote: Remote<Estimator> | null = null;

/** The worker that foretells, begun when it is first asked. */
function estimator(): Remote<Estimator> {
  remote ??= wrap<Estimator>(new Worker(new URL('./estimate.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

const once = { revalidateOnFocus: false, revalidateOnReconnect: false, keepPreviousData: true };

/** When the readings will hold, as far as they tell. */
export function WhenStable({ purge }: { purge: PurgeState }) {
  const { round } = useRound();
  const { setUp, stability, proving: sets, clock, spacing } = purge;
  const rule = setUp?.rule ?? null;
  const isOpen = rule !== null && stability?.stable === false && clock !== null;
  const last = purge.lastCounting;
  const { data } = useSWR(
    isOpen && last ? ['estimate', setUp!.entry, last.at, sets.length] : null,
    async (): Promise<Estimate | NoEstimate> => {
      const counts = countingSets(spacing!, sets);
      const counting = sets.filter((_, place) => counts[place]);
      return estimator().estimate(rule!, readingSets(counting), setUp!.parameters, readingSteps(counting.slice(-6)));
    },
    once,
  );
  if (!isOpen || !data || !last || data.state === 'few-sets') return null;
  if (data.state !== 'told')
    return (
      <p className="small when-stable">
        {data.state === 'not-approaching' ? 'It does not slow down yet' : 'The readings do not tell when it will be stable'}
        {data.by ? `: ${inText(data.by)} keeps moving` : ''}.
      </p>
    );
  // The next set is a distance after the last one, and so on.
  const at = (count: number) => showTime(last.at + count * (clock.until - clock.from), round.plan.zone);
  const span = data.from === data.to ? `about ${at(data.from)}` : `between ${at(data.from)} and ${at(data.to)}`;
  return (
    <p className="small when-stable">
      Stable {span}, four times out of five; {inText(data.last)} last.
    </p>
  );
}

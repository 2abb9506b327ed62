import { purgeWater, type DayOf } from '@fonte/core/day';
import { show } from '@fonte/core/units';
import { useDayOf } from '../day/index.ts';

/** Water of contaminated wells, which goes into containers: how much of it there will be. */
export function PurgeWater() {
  const of = useDayOf();
  return of && <OfDay of={of} />;
}

function OfDay({ of: { visits, depths } }: { of: DayOf }) {
  const wells = visits.filter(
    ({ point, analyses }) => point.type === 'well' && analyses.length > 0 && point.hazards?.includes('contaminated'),
  );
  if (wells.length === 0) return null;
  const known = wells.map(({ id, point }) => ({ id, name: point.name, water: purgeWater(point, depths.get(point.id) ?? null) }));
  const sum = known.reduce((total, { water }) => total + (water ?? 0), 0);
  return (
    <section className="stack" aria-label="Containers for purge water">
      <h3>Containers for purge water</h3>
      <p>
        <span className="strong">{show(sum, 'L', 0)}</span> from three volumes at the last level
        {known.some(({ water }) => water === null) ? ', and what is not known' : ''}:{' '}
        {known.map(({ name, water }) => `${name} ${water === null ? 'not known' : show(water, 'L', 0)}`).join('; ')}.
      </p>
      <p className="soft small">It does not go onto the ground: where it may be left, the site and your employer say.</p>
    </section>
  );
}

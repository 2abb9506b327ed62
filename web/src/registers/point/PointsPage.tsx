import { isDisinfected, residualLeast } from '@fonte/core/registers';
import { levelRecord } from '@fonte/core/level';
import { registerLists, type WellPoint } from '@fonte/core/registers';
import { fromBase, show, showNumber, unitLabel } from '@fonte/core/units';
import { Button, Input } from 'antd';
import { lazy, Suspense, useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { useAnswer } from '../../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../../feedback/Feedback.tsx';
import { usePages } from '../../api/usePages.ts';
import { RegisterHead } from '../RegisterNav.tsx';
import { hydrograph } from './series.ts';
import { useUnitSystem } from '../../units/system.ts';

const Hydrograph = lazy(async () => ({ default: (await import('./Hydrograph.tsx')).Hydrograph }));

/** The register of points: how to get there, how it is built, and its levels through time. */
export function PointsPage() {
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const {
    items: data,
    error,
    retry,
    more,
  } = usePages(registerLists.points, asked === '' ? {} : { search: asked }, 20, (point) => point.id);
  if (error && !data) return <Failed error={error} retry={retry} />;
  if (!data) return <Loading what="the register" />;
  return (
    <>
      <RegisterHead register="points">
        <p>
          <Link to="/points/map">All of them in a list and on a map</Link> · <Link to="/points/exchange">Bring in, take out</Link>
        </p>
      </RegisterHead>
      {(data.length > 8 || search !== '') && (
        <Input
          allowClear
          size="large"
          aria-label="Find a point"
          placeholder="Name or code"
          value={search}
          maxLength={80}
          onChange={(event) => setSearch(event.target.value)}
        />
      )}
      {data.length === 0 && search !== '' ? (
        <p role="status">No point of that name or code.</p>
      ) : data.length === 0 ? (
        <Empty title="No point is registered yet">
          <Link to="/points/new">Register a point</Link>
        </Empty>
      ) : (
        <div className="stack-wide">
          {data.map((point) => (
            <section key={point.id} className="panel">
              <div>
                <div className="row between">
                  <h2>
                    <Link to={`/points/${point.id}`}>{point.name}</Link> <span className="soft">{point.code}</span>
                  </h2>
                  <Link to={`/points/${point.id}/edit`} aria-label={`Change ${point.name}`}>
                    Change
                  </Link>
                </div>
                <p className="soft">
                  {point.place}. {point.use === 'supply' ? 'Supply' : 'Monitoring'}. {point.access}
                </p>
              </div>
              {point.type === 'tap' ? (
                <p>
                  {point.tap.outlet}.{' '}
                  {!isDisinfected(point)
                    ? 'Not disinfected.'
                    : residualLeast(point) === null
                      ? ''
                      : `At least ${residualLeast(point)} mg/L ${point.disinfection === 'chloramine' ? 'total' : 'free'} chlorine.`}
                </p>
              ) : (
                <WellFacts point={point} />
              )}
            </section>
          ))}
          {more && (
            <div>
              <Button onClick={more}>More points</Button>
            </div>
          )}
        </div>
      )}
    </>
  );
}

function WellFacts({ point }: { point: WellPoint }) {
  const {
    units: {
      depth: [unit, decimals],
      diameter: [small, digits],
    },
  } = useUnitSystem();
  const { data: levels = [] } = useAnswer(levelRecord, { in: { point: point.id } });
  const { well } = point;
  const last = levels.at(-1);
  const series = hydrograph(levels);
  return (
    <>
      <p>
        {[
          well.bottom === undefined ? 'Bottom not known' : `Bottom ${show(well.bottom, unit, 2)}`,
          well.screenTop === undefined || well.screenBottom === undefined
            ? 'screen not known'
            : `screen ${show(well.screenTop, unit, 2)} to ${show(well.screenBottom, unit, 2)} below ground`,
          well.insideDiameter === undefined ? 'inside not known' : `inside ${show(well.insideDiameter, small, digits)}`,
          ...well.measuringPoints.map(({ name, elevation }) =>
            elevation === undefined ? `${name}, elevation not known` : `${name} at ${show(elevation, unit, 2)}`,
          ),
        ].join(', ')}
        .
        {last && (
          <>
            {' '}
            Last level{' '}
            <span className="strong">
              {showNumber(fromBase(last.depth, unit), decimals)} {unitLabel(unit)}
            </span>{' '}
            below the mark.
          </>
        )}
      </p>
      {series && (
        <Suspense fallback={<Loading what="the hydrograph" />}>
          <Hydrograph {...series} />
        </Suspense>
      )}
    </>
  );
}

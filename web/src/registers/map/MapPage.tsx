import { dueNames } from '@fonte/core/due';
import { findPlaces, pointKind, pointKindIds, pointPlaces, type PointPlace } from '@fonte/core/registers';
import { Grid, Input, Segmented, Table } from 'antd';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useAnswer } from '../../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../../feedback/Feedback.tsx';
import { later } from '../../feedback/later.tsx';
import { RegisterHead } from '../RegisterNav.tsx';
import { useDueAt } from './useDueAt.ts';
import { markOf, markSvg, shapeNames, type MarkShape } from './marks.ts';
import './map.css';
import { ManySelect } from '../../form/ManySelect.tsx';

const PointMap = later(
  async () => (await import('./PointMap.tsx')).PointMap,
  (failed) => (failed ? <p role="alert">The map cannot be fetched without a connection.</p> : <Loading what="the map" />),
);

const none: ReadonlyMap<string, unknown> = new Map();

const states = [
  { value: 'all', label: 'All' },
  { value: 'in-use', label: 'In use' },
  { value: 'out-of-use', label: 'Out of use' },
  { value: 'due', label: 'Due' },
] as const;

/** All points in a list and on a map, however many there are: sought by name, kind, zone and state. */
export function MapPage() {
  const { data, error, mutate } = useAnswer(pointPlaces, {});
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the points" />;
  return (
    <>
      <RegisterHead register="points" />
      {data.length === 0 ? (
        <Empty title="No point is registered yet">
          <Link to="/points/new">Register a point</Link>
        </Empty>
      ) : (
        <Places all={data} />
      )}
    </>
  );
}

function Places({ all }: { all: readonly PointPlace[] }) {
  const [text, setText] = useState('');
  const [kinds, setKinds] = useState<string[]>([]);
  const [zones, setZones] = useState<string[]>([]);
  const [state, setState] = useState<(typeof states)[number]['value']>('all');
  const [chosen, setChosen] = useState<string | null>(null);
  const [shown, setShown] = useState<'list' | 'map'>('list');
  const isDesk = Grid.useBreakpoint().md !== false;
  const sought = useDeferredValue(text);
  const due = useDueAt();
  const found = useMemo(
    () => findPlaces(all, { text: sought, kinds, zones, ...(state === 'all' ? {} : state === 'due' ? { among: due ?? none } : { state }) }),
    [all, sought, kinds, zones, state, due],
  );
  const known = useMemo(() => new Set(all.map(({ kind }) => kind)), [all]);
  const zoneNames = useMemo(() => [...new Set(all.flatMap(({ zone }) => (zone ? [zone] : [])))].sort(), [all]);
  const one = found.find(({ id }) => id === chosen) ?? null;
  return (
    <div className="stack">
      <div className="places-search">
        <Input
          allowClear
          size="large"
          aria-label="Find a point"
          placeholder="Name, code, place or kind"
          value={text}
          maxLength={80}
          onChange={(event) => setText(event.target.value)}
        />
        <ManySelect
          allowClear
          aria-label="Kinds"
          placeholder="Every kind"
          value={kinds}
          onChange={setKinds}
          options={pointKindIds.filter((id) => known.has(id)).map((id) => ({ value: id, label: pointKind(id).name }))}
        />
        <ManySelect
          allowClear
          aria-label="Zones"
          placeholder="Every zone"
          value={zones}
          onChange={setZones}
          options={zoneNames.map((zone) => ({ value: zone, label: zone }))}
        />
        <Segmented size="large" aria-label="State" value={state} onChange={setState} options={[...states]} />
        {!isDesk && (
          <Segmented
            size="large"
            aria-label="Show"
            value={shown}
            onChange={setShown}
            options={[
              { value: 'list', label: 'List' },
              { value: 'map', label: 'Map' },
            ]}
          />
        )}
      </div>
      <p role="status" className="soft">
        {found.length === all.length ? `${all.length} points` : `${found.length} of ${all.length} points`}
        {found.some(({ position }) => !position) && `, ${found.filter(({ position }) => !position).length} of them not on the map`}
      </p>
      <div className="places-both">
        {(isDesk || shown === 'list') && (
          <div className="places-list">
            <Table<PointPlace>
              virtual
              size="small"
              dataSource={found}
              rowKey="id"
              pagination={false}
              scroll={{ y: 520, x: 340 }}
              rowClassName={({ id }) => (id === chosen ? 'is-chosen' : '')}
              onRow={({ id }) => ({ onClick: () => setChosen(id) })}
              locale={{ emptyText: 'No point is found by this.' }}
              columns={[
                {
                  title: 'Point',
                  width: 220,
                  render: (_, { id, name, code, place }) => (
                    <>
                      <Link to={`/points/${id}`}>{name}</Link> <span className="soft">{code}</span>
                      <div className="soft small">{place}</div>
                    </>
                  ),
                },
                {
                  title: 'Kind',
                  width: 150,
                  render: (_, { id, kind, outOfUse }) => (
                    <>
                      {pointKind(kind).name}
                      {outOfUse && <div className="tone-question small">Out of use</div>}
                      {due?.has(id) && <div className="small strong">{dueNames[due.get(id)!]}</div>}
                    </>
                  ),
                },
              ]}
            />
          </div>
        )}
        {(isDesk || shown === 'map') && (
          <div className="places-map">
            <PointMap places={found} chosen={chosen} choose={setChosen} />
            {one && (
              <p role="status">
                <span className="strong">{one.name}</span>, {one.code}, {one.place}. {pointKind(one.kind).name}
                {one.outOfUse ? ', out of use' : ''}
                {due?.has(one.id) ? `, ${dueNames[due.get(one.id)!].toLowerCase()}` : ''}. <Link to={`/points/${one.id}`}>Open</Link>
              </p>
            )}
            <ul className="map-key small" aria-label="Marks on the map">
              {(Object.keys(shapeNames) as MarkShape[])
                .filter((shape) => all.some(({ kind }) => markOf(kind) === shape))
                .map((shape) => (
                  <li key={shape} className={`point-mark is-${shape}`}>
                    <span dangerouslySetInnerHTML={{ __html: markSvg(shape, false) }} /> {shapeNames[shape]}
                  </li>
                ))}
            </ul>
          </div>
        )}
      </div>
    </div>
  );
}

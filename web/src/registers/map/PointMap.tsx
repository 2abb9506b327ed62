import type { PointPlace } from '@fonte/core/registers';
import { divIcon, latLngBounds, type LatLngBounds } from 'leaflet';
import 'leaflet/dist/leaflet.css';
import { useEffect, useMemo, useState } from 'react';
import { GeoJSON, MapContainer, Marker, useMap, useMapEvents } from 'react-leaflet';
import Supercluster from 'supercluster';
import { base } from './base.ts';
import { markOf, markSvg } from './marks.ts';
import './map.css';

type Placed = PointPlace & { position: NonNullable<PointPlace['position']> };

interface Props {
  places: readonly PointPlace[];
  chosen: string | null;
  choose: (id: string) => void;
}

/** The points on a map, those that would cover each other as one number. */
export function PointMap({ places, chosen, choose }: Props) {
  const placed = useMemo(() => places.filter((one): one is Placed => one.position !== null), [places]);
  if (placed.length === 0) return <p role="status">None of these points has a position.</p>;
  const bounds = latLngBounds(placed.map(({ position }) => [position.latitude, position.longitude] as [number, number]));
  return (
    <MapContainer bounds={bounds.pad(0.15)} className="point-map" attributionControl={false} maxZoom={18} zoomSnap={0.5}>
      <GeoJSON
        data={base}
        interactive={false}
        style={(feature) => ({ className: `base-${String(feature?.properties['what'])}` })}
        pointToLayer={() => null as never}
        filter={(feature) => feature.geometry.type !== 'Point'}
      />
      {base.features.map(
        ({ geometry, properties }) =>
          geometry.type === 'Point' && (
            <Marker
              key={String(properties?.['name'])}
              position={[geometry.coordinates[1]!, geometry.coordinates[0]!]}
              interactive={false}
              keyboard={false}
              icon={divIcon({ className: 'base-village', html: String(properties?.['name']), iconSize: [0, 0] })}
            />
          ),
      )}
      <Fit bounds={bounds} />
      <Points placed={placed} chosen={chosen} choose={choose} />
    </MapContainer>
  );
}

/** Shows all of them whenever others are sought. */
function Fit({ bounds }: { bounds: LatLngBounds }) {
  const map = useMap();
  const wanted = bounds.toBBoxString();
  useEffect(() => {
    map.fitBounds(bounds.pad(0.15), { animate: false, maxZoom: 16 });
    // By what they are: the object is another at every drawing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [map, wanted]);
  return null;
}

function Points({ placed, chosen, choose }: { placed: readonly Placed[]; chosen: string | null; choose: (id: string) => void }) {
  const map = useMap();
  const [, look] = useState(0);
  useMapEvents({ moveend: () => look((times) => times + 1) });
  const index = useMemo(() => {
    const clusters = new Supercluster<{ place: Placed }>({ radius: 44, extent: 256, maxZoom: 17 });
    return clusters.load(
      placed.map((place) => ({
        type: 'Feature',
        properties: { place },
        geometry: { type: 'Point', coordinates: [place.position.longitude, place.position.latitude] },
      })),
    );
  }, [placed]);
  const [west, south, east, north] = map.getBounds().pad(0.2).toBBoxString().split(',').map(Number) as [number, number, number, number];
  return index.getClusters([west, south, east, north], Math.floor(map.getZoom())).map(({ geometry, properties, id }) => {
    const at: [number, number] = [geometry.coordinates[1]!, geometry.coordinates[0]!];
    if ('cluster' in properties && properties.cluster) {
      const { point_count: count } = properties;
      return (
        <Marker
          key={`cluster ${id}`}
          position={at}
          title={`${count} points: look closer`}
          icon={divIcon({ className: 'point-cluster', html: String(count), iconSize: [40, 40] })}
          eventHandlers={{ click: () => map.setView(at, index.getClusterExpansionZoom(Number(id)), { animate: false }) }}
        />
      );
    }
    const { place } = properties as { place: Placed };
    const isChosen = place.id === chosen;
    return (
      <Marker
        key={place.id}
        position={at}
        title={`${place.name}, ${place.code}`}
        icon={divIcon({
          className: `point-mark is-${markOf(place.kind)}${place.outOfUse ? ' is-out' : ''}${isChosen ? ' is-chosen' : ''}`,
          html: markSvg(markOf(place.kind), place.outOfUse),
          iconSize: [32, 32],
        })}
        eventHandlers={{ click: () => choose(place.id) }}
      />
    );
  });
}

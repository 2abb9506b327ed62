import { pipe, pipeIds, pump, pumpIds, type PumpId } from '@fonte/core/purge';
import {
  disinfections,
  isDisinfected,
  residualLeast,
  pointKind,
  registered,
  sources,
  surrounding,
  trait,
  waters,
  type Point,
  type Well,
  layerWaters,
} from '@fonte/core/registers';
import { showDate } from '@fonte/core/time';
import { show } from '@fonte/core/units';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useAnswer } from '../../api/useAnswer.ts';
import { useUnitSystem, type preferred } from '../../units/system.ts';

type Row = [string, ReactNode];

/** A row, where there is something to say. */
const row = (name: string, says: ReactNode): Row[] => (says === undefined || says === '' ? [] : [[name, says]]);

/** How a well is built, as far as it is known. */
function built(well: Well, { depth: [deep, fine], diameter: [wide, finer] }: (typeof preferred)['metric']): Row[] {
  const length = (value: number) => show(value, deep, Math.min(fine, 2));
  const diameter = (value: number) => show(value, wide, finer);
  const known = pipeIds.find((id) => id === well.pipe);
  const { ownPump, bottom, screenTop, screenBottom, insideDiameter, narrower = [], bore, pack, seal, intake, layers = [] } = well;
  return [
    ...row(
      'Marks',
      well.measuringPoints
        .map(({ name, elevation, datum, until }) =>
          [
            name,
            elevation === undefined ? '' : `${length(elevation)}${datum ? ` above ${datum}` : ''}`,
            until ? `until ${showDate(until)}` : '',
          ]
            .filter(Boolean)
            .join(', '),
        )
        .join('; '),
    ),
    ...row('Bottom', bottom === undefined ? '' : `${length(bottom)} below ground`),
    ...row('Screen', screenTop === undefined || screenBottom === undefined ? '' : `${length(screenTop)} to ${length(screenBottom)}`),
    ...row(
      'Casing',
      [
        known ? pipe(known).name : '',
        insideDiameter === undefined ? '' : `${diameter(insideDiameter)} inside`,
        ...narrower.map((one) => `${diameter(one.insideDiameter)} from ${length(one.from)}`),
      ]
        .filter(Boolean)
        .join('; '),
    ),
    ...row('Bore', bore === undefined ? '' : diameter(bore)),
    ...row('Filter pack', pack && `${length(pack.from)} to ${length(pack.to)}${pack.porosity ? `, porosity ${pack.porosity}` : ''}`),
    ...row('Seal', seal && `${length(seal.from)} to ${length(seal.to)}${seal.of ? `, ${seal.of}` : ''}`),
    ...row(
      'Layers',
      layers.map(({ to, of, water }) => `${of} to ${length(to)}${water ? `, ${layerWaters[water].toLowerCase()}` : ''}`).join('; '),
    ),
    ...row(
      'Its own pump',
      ownPump &&
        [ownPump.name, pumpIds.includes(ownPump.kind as PumpId) ? pump(ownPump.kind as PumpId).name : ''].filter(Boolean).join(', '),
    ),
    ...row('Pump intake', intake === undefined ? '' : `${length(intake)} below ground`),
  ];
}

/** What the register knows of a point. */
export function Facts({ point }: { point: Point }) {
  const { units } = useUnitSystem();
  const { water, source, disinfection, siting, contacts = [], surroundings = [], traits = [], alternatives = [] } = point;
  const rows: Row[] = [
    ['Kind', `${pointKind(point.kind).name}, ${point.use === 'supply' ? 'people drink it' : 'monitoring'}`],
    ...(point.type === 'tap'
      ? row('Outlet', point.tap.outlet).concat(
          row(
            'Chlorine',
            residualLeast(point) === null ? (isDisinfected(point) ? 'Amount not said' : 'None') : `At least ${residualLeast(point)} mg/L`,
          ),
        )
      : []),
    ...row('Water', water && waters[water]),
    ...row('Source', source && sources[source]),
    ...row('Disinfection', disinfection && disinfections[disinfection]),
    ...row('Special', traits.map((id) => trait(id).name).join('; ')),
    ...row('About it', surroundings.map((id) => surrounding(id).name).join('; ')),
    ...row('To ask', contacts.map(({ name, call }) => (call ? `${name}, ${call}` : name)).join('; ')),
    ...row(
      'Siting list',
      siting && `${siting.isRoutine ? 'Routine samples' : 'No routine samples'}${siting.number ? `, ${siting.number}` : ''}`,
    ),
    ...row('Instead', alternatives.length > 0 ? alternatives.map((id) => <Named key={id} id={id} />) : ''),
  ];
  return (
    <dl className="facts">
      {[...rows, ...(point.type === 'well' ? built(point.well, units) : [])].map(([name, text]) => (
        <div key={name}>
          <dt>{name}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}

function Named({ id }: { id: string }) {
  const { data } = useAnswer(registered.points, { in: { id } });
  return <Link to={`/points/${id}`}>{data?.name ?? 'a point'}</Link>;
}

import { parameter } from '@fonte/core/parameters';
import { periodName, type Programme } from '@fonte/core/due';
import { instrumentKind, registerLists, type Box, type Instrument, type Lot, type OwnCriterion } from '@fonte/core/registers';
import { showDate, wallTime } from '@fonte/core/time';
import { show, showNumber, unitLabel } from '@fonte/core/units';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useAnswer } from '../../api/useAnswer.ts';
import { DataTable, type Column } from '../../feedback/DataTable.tsx';
import { Failed, Loading } from '../../feedback/Feedback.tsx';
import { Mark } from '../../theme/Mark.tsx';
import { now } from '../../time/clock.ts';
import { siteZone } from '../../time/show.ts';
import { RegisterHead } from '../RegisterNav.tsx';

type Gear = 'instruments' | 'lots' | 'boxes' | 'programmes' | 'criteria';

/** A register of what goes along: its things in a table, each with its way to be changed. */
function listPage<T extends { id: string; name: string }>(register: Gear, empty: string, columns: readonly Column<T>[]) {
  return function GearPage(): ReactNode {
    const { data, error, mutate } = useAnswer(registerLists[register], { query: { limit: 500 } });
    if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
    if (!data) return <Loading what="the register" />;
    return (
      <>
        <RegisterHead register={register} />
        <DataTable<T>
          label={register}
          rows={data as unknown as T[]}
          rowKey={({ id }) => id}
          empty={empty}
          columns={[{ title: 'Name', render: ({ id, name }) => <Link to={`/${register}/${id}`}>{name}</Link> }, ...columns]}
        />
      </>
    );
  };
}

export const InstrumentsPage = listPage<Instrument>('instruments', 'No instrument is registered yet.', [
  { title: 'Kind', render: ({ kind }) => instrumentKind(kind).name },
  {
    title: 'Measures',
    render: ({ ranges = [] }) =>
      ranges
        .map(({ parameter: of, from, to }) => `${parameter(of).name} ${from} to ${to} ${unitLabel(parameter(of).unit)}`.trim())
        .join('; '),
  },
  { title: 'Serial number', render: ({ serial }) => serial ?? '' },
  {
    title: 'State',
    render: ({ outOfUse }) =>
      outOfUse ? (
        <span className="word tone-stop">
          <Mark kind="stop" />
          Out of use: {outOfUse}
        </span>
      ) : (
        'In use'
      ),
  },
]);

const isPast = (expires: string) => expires < wallTime(now(), siteZone()).date;

export const LotsPage = listPage<Lot>('lots', 'No standard or reagent is registered yet.', [
  { title: 'What', render: ({ use }) => (use === 'standard' ? 'Standard' : 'Reagent') },
  { title: 'Lot', render: ({ lot }) => lot },
  {
    title: 'Value',
    isNumber: true,
    render: ({ parameter: id, nominal }) =>
      id && nominal !== undefined ? `${showNumber(nominal, parameter(id).decimals)} ${unitLabel(parameter(id).unit)}` : '',
  },
  { title: 'Tests left', isNumber: true, render: ({ left }) => left ?? '' },
  {
    title: 'Expires',
    render: ({ expires }) =>
      isPast(expires) ? (
        <span className="word tone-stop">
          <Mark kind="stop" />
          Out of date since {showDate(expires)}
        </span>
      ) : (
        showDate(expires)
      ),
  },
]);

export const BoxesPage = listPage<Box>('boxes', 'No box is registered yet.', [
  { title: 'Holds', isNumber: true, render: ({ holds }) => show(holds, 'L', 0) },
  { title: 'Vehicle', render: ({ vehicle }) => vehicle ?? '' },
]);

export const ProgrammesPage = listPage<Programme>('programmes', 'No programme is registered: nothing is due by itself.', [
  {
    title: 'How often',
    render: ({ times, per, counts }) => `${times} in each ${periodName(per)}, ${counts === 'each' ? 'at every point' : 'over all points'}`,
  },
  { title: 'Points', isNumber: true, render: ({ points }) => points.length },
  { title: 'Analyses', isNumber: true, render: ({ analyses }) => analyses.length },
  { title: 'From', render: ({ from, until }) => `${showDate(from)}${until ? ` to ${showDate(until)}` : ''}` },
]);

export const CriteriaPage = listPage<OwnCriterion>('criteria', 'No criterion of your own. The published ones are there already.', [
  { title: 'Sets', isNumber: true, render: ({ sets }) => sets },
  {
    title: 'Allowed',
    render: ({ tolerances }) =>
      tolerances
        .map(({ parameter: of, absolute, percent }) => {
          const parts = [
            ...(absolute === undefined ? [] : [`${absolute} ${unitLabel(parameter(of).unit)}`]),
            ...(percent === undefined ? [] : [`${percent} %`]),
          ];
          return `${parameter(of).name} ± ${parts.join(' or ')}`;
        })
        .join('; '),
  },
  { title: 'Where it is written', render: ({ source }) => source },
  { title: 'State', render: ({ outOfUse }) => (outOfUse ? `Out of use: ${outOfUse}` : 'In use') },
]);

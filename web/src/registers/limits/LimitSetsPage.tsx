import { refOf, shownSource } from '@fonte/core/editions';
import { limitSets, type LimitSet } from '@fonte/core/limits';
import type { OwnLimitSet } from '@fonte/core/registers';
import { showDate, wallTime } from '@fonte/core/time';
import { Link } from 'react-router';
import { DataTable, type Column } from '../../feedback/DataTable.tsx';
import { publishedOn } from '../../editions/LimitSets.tsx';
import { useOwnSets } from '../../editions/useOwnSets.ts';
import { now } from '../../time/clock.ts';
import { siteZone } from '../../time/show.ts';
import { RegisterHead } from '../RegisterNav.tsx';
import { comparePath } from './paths.ts';

const published: readonly Column<LimitSet>[] = [
  { title: 'Name', render: (set) => <Link to={comparePath(refOf(set))}>{set.name}</Link> },
  { title: 'Edition', isShort: true, render: ({ edition }) => edition },
  { title: 'Rules from', isShort: true, render: ({ from }) => showDate(from) },
  { title: 'Values', isNumber: true, render: ({ rows }) => rows.length },
  { title: 'Source', render: ({ source }) => shownSource(source) },
];

const house: readonly Column<OwnLimitSet>[] = [
  { title: 'Name', render: ({ id, name }) => <Link to={`/limits/${id}`}>{name}</Link> },
  { title: 'Adds to', render: ({ base }) => (base ? (limitSets.find(base)?.name ?? base) : 'Stands alone') },
  { title: 'Values', isNumber: true, render: ({ rows }) => rows.length },
  { title: 'Where it is written', render: ({ source }) => source },
  { title: 'State', render: ({ outOfUse }) => (outOfUse ? `Out of use: ${outOfUse}` : 'In use') },
];

/** The limit sets of the house, and every published one: what holds now, and what came before. */
export function LimitSetsPage() {
  const own = useOwnSets();
  const holding = publishedOn(wallTime(now(), siteZone()).date);
  const before = limitSets.all.filter((set) => !holding.includes(set));
  const newestFirst = [...before].sort((a, b) => (a.edition < b.edition ? 1 : -1));
  return (
    <>
      <RegisterHead register="limits" />
      <DataTable
        label="Limit sets of the house"
        rows={own}
        rowKey={({ id }) => id}
        columns={house}
        empty="No limit set of your own. The published ones are below."
      />
      <section className="stack">
        <div className="row between">
          <h2>Published sets</h2>
          <Link to={comparePath()}>Compare two sets</Link>
        </div>
        <p className="soft small">Read a value against its source before people rely on it. Your authority’s rules come first.</p>
        <DataTable label="Published sets" rows={holding} rowKey={refOf} columns={published} />
        <details>
          <summary>Superseded editions ({newestFirst.length})</summary>
          <DataTable label="Superseded editions" rows={newestFirst} rowKey={refOf} columns={published} />
        </details>
      </section>
    </>
  );
}

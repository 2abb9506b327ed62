import { arrivalsAt, sayFound } from '@fonte/core/arrive';
import { analysisName, bottleTables } from '@fonte/core/bottles';
import { owedNames, sampleRecord } from '@fonte/core/due';
import { hazard, type Point } from '@fonte/core/registers';
import { day, showDate, wallTime } from '@fonte/core/time';
import { Link } from 'react-router';
import { pointScouted } from '@fonte/core/scout';
import { useAnswer } from '../../api/useAnswer.ts';
import { DataTable } from '../../feedback/DataTable.tsx';
import { Mark } from '../../theme/Mark.tsx';
import { now } from '../../time/clock.ts';
import { siteZone, showMoment } from '../../time/show.ts';
import { May } from '../../session/May.tsx';
import { Seen } from '../scout/Seen.tsx';
import { Levels } from './Levels.tsx';
import { Brought } from './Brought.tsx';
import { Facts } from './Facts.tsx';
import { KnownPoint } from './KnownPoint.tsx';
import { Pictures } from './Pictures.tsx';
import { Results } from './Results.tsx';
import './point.css';

/** One point: its pictures and the way in, what may hurt, what was odd, its levels, its results. */
export const PointPage = () => <KnownPoint>{(point) => <Known key={point.id} point={point} />}</KnownPoint>;

function Known({ point }: { point: Point }) {
  return (
    <div className="stack-wide">
      <header className="row between">
        <div>
          <h1>
            {point.name} <span className="soft">{point.code}</span>
          </h1>
          <p className="soft">
            {point.place}. {point.access}
          </p>
        </div>
        <span className="row">
          <May do={pointScouted}>
            <Link className="strong" to={`/points/${point.id}/look`}>
              Write down what you see there
            </Link>
          </May>
          <Link className="strong" to={`/points/${point.id}/edit`}>
            Change
          </Link>
        </span>
      </header>
      {point.outOfUse && (
        <p className="finding stop">
          <Mark kind="stop" />
          <span>
            <span className="strong">Out of use: {point.outOfUse.reason}.</span>
            {point.outOfUse.lookAgain ? ` Look again on ${showDate(point.outOfUse.lookAgain)}.` : ''}
          </span>
        </p>
      )}
      <Pictures point={point.id} />
      <div className="point-halves">
        <div className="stack-wide">
          <Facts point={point} />
          <Hazards point={point} />
          <Odd point={point.id} />
          <Seen point={point.id} isPictured={false} />
        </div>
        <div className="stack-wide">
          {point.type === 'well' && <Levels point={point} />}
          <Sampled point={point.id} />
        </div>
      </div>
      <Results point={point.id} />
      <Brought point={point.id} />
    </div>
  );
}

function Hazards({ point: { hazards = [] } }: { point: Point }) {
  if (hazards.length === 0) return null;
  return (
    <section>
      <h2>What may hurt</h2>
      <ul className="plain small">
        {hazards.map((id) => (
          <li key={id}>
            <span className="strong">{hazard(id).name}.</span> {hazard(id).caution}
          </li>
        ))}
      </ul>
      <p className="soft small">Local codes and your employer’s rules come first.</p>
    </section>
  );
}

/** What was odd on earlier visits, the last one first. */
function Odd({ point }: { point: string }) {
  const { data = [] } = useAnswer(arrivalsAt, { in: { point } });
  if (data.length === 0) return null;
  return (
    <section>
      <h2>What was odd</h2>
      <ul className="plain">
        {data.slice(0, 5).map(({ visit, at, found, odd, hazards }) => (
          <li key={visit}>
            <span className="soft small">{showMoment(at, siteZone())}</span>{' '}
            {[...found.map(sayFound), ...(odd ? [odd] : []), ...hazards.map((one) => hazard(one).name)].join('; ')}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** So far back (ms) it is told what was taken. */
const backTo = 730 * day;

/** What was taken here and what is planned, the latest first. */
function Sampled({ point }: { point: string }) {
  const { data = [] } = useAnswer(sampleRecord, { query: { from: wallTime(now() - backTo, 'UTC').date } });
  const table = bottleTables.newest[0]!;
  const own = data.filter((one) => one.point === point).reverse();
  if (own.length === 0) return null;
  return (
    <section className="stack">
      <h2>Taken and planned</h2>
      <DataTable
        label="Taken and planned"
        rows={own.slice(0, 12)}
        rowKey={({ visit, analysis }) => `${visit} ${analysis}`}
        columns={[
          { title: 'Day', isShort: true, render: ({ date }) => showDate(date) },
          { title: 'Analysis', render: ({ analysis }) => analysisName(table, analysis) },
          { title: 'What became of it', render: ({ state, round }) => <Link to={`/rounds/${round}`}>{owedNames[state]}</Link> },
        ]}
      />
    </section>
  );
}

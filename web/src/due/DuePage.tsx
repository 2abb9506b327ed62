import { analysisName, bottleTables } from '@fonte/core/bottles';
import {
  dueNames,
  dueOf,
  lookBack,
  openOf,
  owedElsewhere,
  owedNames,
  periodName,
  periodOf,
  sampleRecord,
  visitsFor,
  type DueLine,
  type DueState,
  type DueVisit,
  type Programme,
  type SampleOfRecord,
} from '@fonte/core/due';
import { roundPlanned } from '@fonte/core/plan';
import { pointPlaces, registered, registerLists, type PointPlace } from '@fonte/core/registers';
import { showDate, wallTime } from '@fonte/core/time';
import { Button } from 'antd';
import { Link, useNavigate } from 'react-router';
import { readOrKept } from '../api/kept.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { May } from '../session/May.tsx';
import { Mark, type MarkKind } from '../theme/Mark.tsx';
import { now } from '../time/clock.ts';
import { siteZone } from '../time/show.ts';

const marks: Record<DueState, MarkKind> = {
  done: 'good',
  planned: 'note',
  due: 'open',
  behind: 'question',
  'not-now': 'note',
  'out-of-use': 'stop',
};

/** What every programme still lacks in its period, and a round that would take it. */
export function DuePage() {
  const today = wallTime(now(), siteZone()).date;
  const from = wallTime(now() - lookBack, 'UTC').date;
  const programmes = useAnswer(registerLists.programmes, { query: { limit: 500 } });
  const samples = useAnswer(sampleRecord, { query: { from } });
  const places = useAnswer(pointPlaces, {});
  const error: unknown = programmes.error ?? samples.error ?? places.error;
  if (error) return <Failed error={error} retry={() => location.reload()} />;
  if (!programmes.data || !samples.data || !places.data) return <Loading what="the programmes" />;
  const names = new Map(places.data.map((place) => [place.id, place]));
  return (
    <div className="stack-wide">
      <div className="row between">
        <h1>What is due</h1>
        <Link className="strong" to="/programmes">
          Programmes
        </Link>
      </div>
      {programmes.data.length === 0 && (
        <Empty title="No programme is registered">
          <p>A programme says what has to be sampled where, and how often. Then it is told here what is due.</p>
          <Link to="/programmes/new">Register a programme</Link>
        </Empty>
      )}
      {programmes.data.map((programme) => (
        <OfProgramme key={programme.id} programme={programme} samples={samples.data!} names={names} today={today} />
      ))}
      <Elsewhere owed={owedElsewhere(programmes.data, samples.data, today)} names={names} />
    </div>
  );
}

interface Props {
  programme: Programme;
  samples: readonly SampleOfRecord[];
  names: ReadonlyMap<string, PointPlace>;
  today: string;
}

function OfProgramme({ programme, samples, names, today }: Props) {
  const closed = new Set([...names.values()].filter(({ outOfUse }) => outOfUse).map(({ id }) => id));
  const lines = dueOf(programme, samples, today, closed);
  const visits = visitsFor(programme, lines, samples, closed);
  const { to } = periodOf(programme.per, today);
  const sum = (of: (line: DueLine) => number) => lines.reduce((total, line) => total + of(line), 0);
  const missed = sum((line) => line.missed);
  const table = bottleTables.newest[0]!;
  const where = (point: string | null) =>
    point === null ? `All ${programme.points.length} points together` : (names.get(point)?.name ?? 'A point that is not in the register');
  return (
    <section className="stack" aria-label={programme.name}>
      <div className="row between">
        <div>
          <h2>{programme.name}</h2>
          <p className="soft">
            This {periodName(programme.per)}, to {showDate(to)}: {sum((line) => Math.min(line.taken, line.needed))} of{' '}
            {sum((line) => line.needed)} taken, {sum((line) => line.planned)} planned, {sum(openOf)} to be planned
          </p>
        </div>
        <PlanThem visits={visits} name={programme.name} />
      </div>
      {missed > 0 && (
        <p className="finding stop small">
          <Mark kind="stop" />
          <span>
            <span className="strong">{missed === 1 ? '1 sample' : `${missed} samples`} of the period before were not taken.</span> That
            cannot be made up; whether the authority must be told is your rules’ to say.
          </span>
        </p>
      )}
      <DataTable
        label={programme.name}
        rows={lines}
        rowKey={({ point, analysis }) => `${point} ${analysis}`}
        columns={[
          { title: 'Point', render: ({ point }) => <span className="strong">{where(point)}</span> },
          { title: 'Analysis', render: ({ analysis }) => analysisName(table, analysis) },
          {
            title: 'State',
            render: ({ state, owed, point }) => (
              <>
                <span className={`word tone-${marks[state]}`}>
                  <Mark kind={marks[state]} />
                  {dueNames[state]}
                </span>
                {state === 'out-of-use' && point !== null && (
                  <div className="small">
                    {names.get(point)?.whyOut}. Sample what stands in for it; whether that counts, the programme’s authority says.
                  </div>
                )}
                {owed.map((one) => (
                  <div key={`${one.visit} ${one.date}`} className="small">
                    Owed still: {showDate(one.date)} {owedNames[one.state]} <Link to={`/rounds/${one.round}`}>round</Link>
                  </div>
                ))}
              </>
            ),
          },
          { title: 'Taken', isNumber: true, render: ({ taken, needed }) => `${taken} of ${needed}` },
          { title: 'Planned', isNumber: true, render: ({ planned }) => planned },
          { title: 'Last taken', render: ({ last }) => (last ? showDate(last) : 'Never here') },
          { title: 'Until', render: ({ until }) => (until ? showDate(until) : '') },
        ]}
      />
    </section>
  );
}

/** Samples of no programme that were not what they should be. */
function Elsewhere({ owed, names }: { owed: readonly SampleOfRecord[]; names: Props['names'] }) {
  if (owed.length === 0) return null;
  const table = bottleTables.newest[0]!;
  const visits = [...new Set(owed.map(({ point }) => point))].map((point) => ({
    point,
    analyses: owed.filter((one) => one.point === point).map(({ analysis }) => analysis),
  }));
  return (
    <section className="stack" aria-label="Resamples outside programmes">
      <div className="row between">
        <div>
          <h2>Resamples outside programmes</h2>
          <p className="soft">
            The last sample was special, spoilt or rejected, or the well was dry, and no new one has been taken or planned.
          </p>
        </div>
        <PlanThem visits={visits} name="Resamples" />
      </div>
      <DataTable
        label="Resamples outside programmes"
        rows={owed}
        rowKey={({ point, analysis }) => `${point} ${analysis}`}
        columns={[
          {
            title: 'Point',
            render: ({ point }) => <span className="strong">{names.get(point)?.name ?? 'A point that is not in the register'}</span>,
          },
          { title: 'Analysis', render: ({ analysis }) => analysisName(table, analysis) },
          {
            title: 'State',
            render: ({ date, state, round }) => (
              <span>
                {showDate(date)} {owedNames[state]} <Link to={`/rounds/${round}`}>round</Link>
              </span>
            ),
          },
        ]}
      />
    </section>
  );
}

/** Begins the plan of a round with everything that a programme still lacks. */
function PlanThem({ visits, name }: { visits: readonly DueVisit[]; name: string }) {
  const navigate = useNavigate();
  const { busy, run, say } = useAction();
  if (visits.length === 0) return null;
  const plan = async () => {
    const known = await Promise.all(
      visits.map(async ({ point, analyses }) => ({ point: await readOrKept(registered.points, { in: { id: point } }), analyses })),
    );
    await navigate('/rounds/new', { state: { name, visits: known } });
  };
  return (
    <May do={roundPlanned}>
      <div>
        <Button type="primary" size="large" loading={busy} onClick={() => void run(plan)}>
          {visits.length === 1 ? 'Plan this point' : `Plan these ${visits.length} points`}
        </Button>
        <Said say={say} />
      </div>
    </May>
  );
}

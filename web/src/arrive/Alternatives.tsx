import { setsForWater } from '@fonte/core/limits';
import { testKindOf, type FitnessFor } from '@fonte/core/arrive';
import { newId } from '@fonte/core/book';
import { driveLasts, endsAt, restOfDay, sayFault, usualSettings, withInstead } from '@fonte/core/day';
import { analysisRemoved, dayPlanned, visitAdded } from '@fonte/core/plan';
import { distance, registered, type Point } from '@fonte/core/registers';
import { nextAtVisit, type VisitState } from '@fonte/core/round';
import { minute } from '@fonte/core/time';
import { show } from '@fonte/core/units';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { useDayOf } from '../day/index.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { May } from '../session/May.tsx';
import { now } from '../time/clock.ts';
import { useNow } from '../time/useNow.ts';
import { roomPath } from '../visit/paths.ts';

interface Props {
  visit: VisitState;
  unfit: readonly FitnessFor['kind'][];
}

/** The points that the register names for this case, with the way there and what it does to the day. */
export function Alternatives({ visit, unfit }: Props) {
  const ids = visit.point.alternatives ?? [];
  return (
    <section className="stack">
      <h2>Instead</h2>
      {ids.length === 0 ? (
        <p className="soft">The register names no other point for this one. Add one to the round on its page, or come back.</p>
      ) : (
        <ul className="plain alternatives">
          {ids.map((id) => (
            <Alternative key={id} id={id} visit={visit} unfit={unfit} />
          ))}
        </ul>
      )}
    </section>
  );
}

function Alternative({ id, visit, unfit }: Props & { id: string }) {
  const { data: point } = useAnswer(registered.points, { in: { id } });
  if (!point) return null;
  return <Known point={point} visit={visit} unfit={unfit} />;
}

/** The bottles of what cannot be taken here stay empty here: an analysis of which one is filled already is not moved. */
function moved(visit: VisitState, unfit: Props['unfit']) {
  return visit.analyses.filter((id) => {
    const rules = visit.table?.analyses[id]?.bottles ?? [];
    return (
      unfit.includes(testKindOf(visit.table, id)) && !visit.bottles.some(({ rule, state }) => rules.includes(rule) && state !== 'empty')
    );
  });
}

function Known({ point, visit, unfit }: Props & { point: Point }) {
  const { id: book, round, append } = useRound();
  const { busy, run, say } = useAction();
  const navigate = useNavigate();
  const analyses = moved(visit, unfit);
  const here = visit.point.position;
  const settings = round.day ?? usualSettings;
  const away = here && point.position ? distance(here, point.position) : null;
  const isInRound = round.visits.some((one) => one.point.id === point.id);
  const take = async () => {
    const id = newId(now());
    const limits = setsForWater(point, round.plan.date);
    await append(visitAdded, { id, point, analyses, ...(limits ? { limits } : {}) });
    for (const analysis of analyses) await append(analysisRemoved, { analysis }, { at: visit.id });
    if (round.day) {
      const order = round.plan.visits.flatMap((one) => (one.id === visit.id ? [one.id, id] : [one.id]));
      await append(dayPlanned, { ...round.day, order });
    }
    await navigate(roomPath(book, 'arrive', id));
  };
  return (
    <li>
      <div>
        <p>
          <span className="strong">{point.name}</span>{' '}
          <span className="soft">
            {point.code}, {point.place}
          </span>
        </p>
        <p className="small">
          {away === null
            ? 'Not on the map: how far it is, nobody knows.'
            : `${away < 1000 ? show(away, 'm', 0) : show(away, 'km', 1)} from here, ${Math.round(driveLasts(here, point.position, settings) / minute)} min with parking.`}{' '}
          {point.outOfUse ? <span className="tone-stop strong">Out of use: {point.outOfUse.reason}</span> : null}
        </p>
        <Effect point={point} visit={visit} analyses={analyses} />
        <Said say={say} />
      </div>
      <May do={visitAdded}>
        <Button type="primary" loading={busy} disabled={analyses.length === 0 || isInRound} onClick={() => void run(take)}>
          {isInRound ? 'Is in this round' : 'Take it instead'}
        </Button>
      </May>
    </li>
  );
}

/** What taking another point does to the rest of the day. */
function Effect({ point, visit, analyses }: { point: Point; visit: VisitState; analyses: VisitState['analyses'] }) {
  const { round } = useRound();
  const of = useDayOf();
  const time = Math.floor(useNow(15_000) / minute) * minute;
  const { zone, lab } = round.plan;
  if (!of || !lab) return null;
  const settings = round.day ?? usualSettings;
  const after = round.visits.filter((one) => one.id !== visit.id && nextAtVisit(one) !== null).map((one) => one.id);
  const deadlines = round.bottles.flatMap(({ stage, holding, lost }) => (stage === 'filled' && holding && !lost ? [holding.deadline] : []));
  const standing = { here: visit.id, after, deadlines, now: time };
  const instead = { here: visit.id, analyses, visit: { id: 'instead', point, analyses } };
  const before = restOfDay(of, settings, standing);
  const then = restOfDay(withInstead(of, instead), settings, { ...standing, after: ['instead', ...after] });
  if (then.faults.length > 0)
    return (
      <>
        {then.faults.map((fault) => (
          <p key={JSON.stringify(fault)} className="small tone-stop strong">
            {sayFault(fault, then.problem, zone)}
          </p>
        ))}
      </>
    );
  return (
    <p className="small soft">
      At the lab at {endsAt(then, zone)}, {endsAt(before, zone)} without it.
    </p>
  );
}

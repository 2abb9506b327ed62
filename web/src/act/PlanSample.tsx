import { askedSample, becauseOf, type FollowUp } from '@fonte/core/act';
import { rulesFor, type AnalysisId } from '@fonte/core/bottles';
import { owedNames, sampleRecord, type SampleOfRecord } from '@fonte/core/due';
import { roundPlanned } from '@fonte/core/plan';
import { pointPlaces, registered, type Point } from '@fonte/core/registers';
import type { RoundState, VisitState } from '@fonte/core/round';
import { day, showDate, wallTime } from '@fonte/core/time';
import { Button } from 'antd';
import { Link, useNavigate } from 'react-router';
import { readOrKept } from '../api/kept.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { May } from '../session/May.tsx';
import { now } from '../time/clock.ts';

/** The analyses that are taken again: those of a bottle, or those that bring the parameters that a rule is about. */
function analysesOf({ task }: FollowUp, visit: VisitState): AnalysisId[] {
  const { table, analyses, bottles } = visit;
  if (!table) return [];
  const isMeant = (id: AnalysisId) => {
    const rules = rulesFor(table, [id]);
    if (task.code === 'resample') return bottles.some((bottle) => bottle.id === task.bottle && rules.includes(bottle.rule));
    const about = task.code === 'rule' ? task.parameters : [];
    return rules.some((rule) => table.rules[rule]?.parameters.some((parameter) => about.includes(parameter)));
  };
  return analyses.filter(isMeant);
}

/** So many wells of one supply are looked at. */
const mostWells = 40;

/** Raw water of the same supply, as far as the register says which that is. */
async function rawWaterOf({ system }: Point): Promise<Point[]> {
  const places = await readOrKept(pointPlaces, {});
  const raw = places.filter(({ kind, outOfUse }) => (kind === 'supply-well' || kind === 'raw-tap') && !outOfUse).slice(0, mostWells);
  const points = await Promise.all(raw.map(({ id }) => readOrKept(registered.points, { in: { id } })));
  return points.filter((point) => point.system === system);
}

/** Begins the plan of the samples that a follow-up asks for; once they are planned it says where and what became of them. */
export function PlanSample({ action }: { action: FollowUp }) {
  const { id, round } = useRound();
  const asked = askedSample(action.task);
  const { data = [] } = useAnswer(sampleRecord, asked ? { query: { from: wallTime(now() - 60 * day, 'UTC').date } } : null);
  if (!asked) return null;
  const linked = data.filter(({ because }) => because?.action === action.id && because.round === id);
  return linked.length > 0 ? <Linked linked={linked} /> : <Plan action={action} round={round} id={id} />;
}

function Linked({ linked }: { linked: readonly SampleOfRecord[] }) {
  return linked.map(({ round, visit, date, state }) => (
    <p key={visit} className="small">
      <Link to={`/rounds/${round}`}>
        {showDate(date)}: {owedNames[state]}
      </Link>
    </p>
  ));
}

function Plan({ action, round, id }: { action: FollowUp; round: RoundState; id: string }) {
  const navigate = useNavigate();
  const { busy, run, say } = useAction();
  const visit = round.visits.find((one) => one.id === action.visit);
  const because = becauseOf(action, id);
  if (!visit || !because || action.done) return null;
  const plan = async () => {
    const points = askedSample(action.task)!.at === 'raw' ? await rawWaterOf(visit.point) : [visit.point];
    const analyses = analysesOf(action, visit);
    const date = wallTime(Math.max(now(), Math.min(action.due, now() + day)), round.plan.zone).date;
    await navigate('/rounds/new', {
      state: { name: `After ${visit.point.name}`, date, visits: points.map((point) => ({ point, analyses, because })) },
    });
  };
  return (
    <May do={roundPlanned}>
      <div>
        <Button type="primary" loading={busy} onClick={() => void run(plan)}>
          Plan the sample
        </Button>
        <Said say={say} />
      </div>
    </May>
  );
}

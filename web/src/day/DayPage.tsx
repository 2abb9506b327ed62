import { mostExact, sayFault, sayRemedy, usualSettings, type DayOf, type DayTold, type Proposal, type Remedy } from '@fonte/core/day';
import { dayPlanned, DaySettings } from '@fonte/core/plan';
import { registerLists } from '@fonte/core/registers';
import { sayAbout } from '@fonte/core/round';
import { showDate, showMinutes, wallTime } from '@fonte/core/time';
import { fromBase, type Typed, type UnitId } from '@fonte/core/units';
import { Button } from 'antd';
import { useState } from 'react';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { inBase } from '../form/values.ts';
import { Mark } from '../theme/Mark.tsx';
import { StopList } from './StopList.tsx';
import { Timeline } from './Timeline.tsx';
import { useDayOf } from './useDayOf.ts';
import { usePlanner } from './usePlanner.ts';
import './day.css';

interface Values {
  start: string;
  speed: Typed;
  roadFactor: Typed;
  lunch: Typed;
}

const typed = (value: number | undefined, unit: UnitId, digits = 0): Typed => ({
  text: value === undefined ? '' : String(Number(fromBase(value, unit).toFixed(digits))),
  unit,
});

const valuesOf = ({ start, speed, roadFactor, lunch }: DaySettings): Values => ({
  start,
  speed: typed(speed, 'km/h'),
  roadFactor: typed(roadFactor, '1', 2),
  lunch: typed(lunch, 'min'),
});

/** The day of a round, worked backwards from the lab's door: in which order, when, and what will go wrong while it can be helped. */
export function DayPage() {
  const of = useDayOf();
  const { data: labs } = useAnswer(registerLists.labs, { query: { limit: 200 } });
  if (!of) return <p role="alert">This copy of Fonte does not have the bottles of this round: the day cannot be worked out here.</p>;
  if (!labs) return <Loading what="the labs" />;
  return <Day of={of} labs={labs} />;
}

function Day({ of, labs }: { of: DayOf; labs: Parameters<typeof usePlanner>[2] }) {
  const { id, round, append } = useRound();
  const begun = round.day ?? usualSettings;
  const [settings, setSettings] = useState<DaySettings>(begun);
  // Where the day was ordered already, that order stands until somebody asks for another.
  const [order, setOrder] = useState<readonly string[] | null>(round.day ? of.visits.map((visit) => visit.id) : null);
  const { proposal, own, isWeighing, error } = usePlanner(of, settings, labs, order);
  const told = own ?? proposal;

  const form = useEntryForm<Values, (typeof dayPlanned)['payload']['_output']>({
    keep: `day.${id}`,
    initial: valuesOf(begun),
    schema: dayPlanned.payload,
    read: (values) => {
      const { value, problems } = inBase(values);
      return { value: { ...(value as object), ...(begun.from ? { from: begun.from } : {}), order: told ? orderOf(told) : [] }, problems };
    },
    write: (payload, { id: entry, kept }) =>
      append(dayPlanned, payload, { id: entry, kept: () => (kept(), setSettings(payload), setOrder(payload.order)) }),
    next: (values) => values,
  });
  const settle = () => {
    const { value, problems } = inBase(form.values);
    const read = DaySettings.safeParse({ ...(value as object), ...(begun.from ? { from: begun.from } : {}) });
    if (problems.length === 0 && read.success && JSON.stringify(read.data) !== JSON.stringify(settings)) setSettings(read.data);
  };

  if (error) return <Failed error={error} />;
  if (!told) return <Loading what="the day: the orders are weighed" />;
  const move = (from: number, to: number) => {
    const now = orderOf(told);
    const [moved] = now.splice(from, 1);
    now.splice(to, 0, moved!);
    setOrder(now);
  };
  const take = (remedy: Remedy) => {
    if (remedy.code === 'start-earlier') {
      form.set({ start: remedy.start });
      setSettings({ ...settings, start: remedy.start });
    }
    if (remedy.code === 'no-lunch') {
      form.set({ lunch: { text: '', unit: 'min' } });
      const { lunch: _, ...without } = settings;
      setSettings(without);
    }
    setOrder(null);
  };
  const isSame = proposal !== undefined && orderOf(told).join() === orderOf(proposal).join();
  return (
    <>
      <Verdict told={told} of={of} isOwn={own !== null && !isSame} />
      <Timeline told={told} zone={of.zone} />
      <div className="day">
        <section aria-label="Stops">
          {told.findings.map(({ code, data, ...finding }) => (
            <p key={`${code} ${String(data?.['name'])}`} className={`finding ${finding.severity}`}>
              <Mark kind={finding.severity === 'stop' ? 'stop' : 'question'} />
              <span>{sayAbout({ code, data, ...finding }).says}</span>
            </p>
          ))}
          <StopList told={told} zone={of.zone} move={move} />
        </section>
        <div className="stack-wide">
          {proposal && !isSame && (
            <section className="panel stack">
              <p>{compare(told, proposal, of.zone)}</p>
              <div>
                <Button size="large" onClick={() => setOrder(null)}>
                  Take the proposed order
                </Button>
              </div>
            </section>
          )}
          {proposal && told.faults.length > 0 && <Remedies remedies={proposal.remedies} zone={of.zone} take={take} />}
          {proposal && isSame && told.faults.length === 0 && <p className="soft">{sayBest(proposal)}</p>}
          {isWeighing && <p role="status">Weighing the orders …</p>}
          <EntryForm
            of={form}
            submit={round.day ? 'Write the order down anew' : 'Write the order down'}
            className="panel stack"
            enter="moves-on"
          >
            <div className="form-grid" onBlur={settle}>
              <Field name="start" placeholder="08:00" />
              <Field name="speed" />
              <Field name="roadFactor" />
              <Field name="lunch" hint="Between 11:30 and 14:00" />
            </div>
          </EntryForm>
        </div>
      </div>
    </>
  );
}

/** The visits of a day in its order. */
const orderOf = ({ day, problem }: DayTold): string[] => day.order.map((stop) => problem.stops[stop]!.id);

/** The day in one sentence. */
function Verdict({ told, of, isOwn }: { told: DayTold; of: DayOf; isOwn: boolean }) {
  const { day, faults, latestStart, problem } = told;
  // Of many stops not every order was weighed: that none was found proves nothing.
  const cannot = isOwn
    ? 'It cannot be done in this order'
    : problem.stops.length <= mostExact
      ? 'This day cannot be done'
      : 'No order was found that can be done';
  const time = (moment: number) => wallTime(moment, of.zone).time;
  const where = of.lab ? 'At the lab' : 'Back';
  return (
    <header className="stack">
      <p className="soft">{showDate(of.date)}</p>
      <h1 className={`word ${faults.length > 0 ? 'tone-stop' : ''}`}>
        {faults.length > 0 && <Mark kind="stop" />}
        {faults.length > 0 ? cannot : `${where} at ${time(day.handOver)}`}
      </h1>
      {faults.length > 0 ? (
        <ul className="day-faults">
          {faults.map((fault) => (
            <li key={JSON.stringify(fault)}>{sayFault(fault, problem, of.zone)}</li>
          ))}
        </ul>
      ) : (
        <p>
          Set out at {time(day.leaves)}
          {latestStart !== null && latestStart > day.leaves ? `, at the latest at ${time(latestStart)}` : ''}.
        </p>
      )}
    </header>
  );
}

function sayBest({ isBest, day, bound }: Proposal): string {
  if (isBest) return 'No order is at the lab earlier: all were weighed.';
  const apart = bound === null ? null : day.handOver - bound;
  return apart === null ? '' : `No order is at the lab more than ${showMinutes(apart)} earlier.`;
}

function compare(own: DayTold, proposal: Proposal, zone: string): string {
  if (proposal.faults.length > 0) return 'This is your order. No order was found that can be done.';
  const later = own.day.handOver - proposal.day.handOver;
  const at = wallTime(proposal.day.handOver, zone).time;
  return own.faults.length > 0 || later > 0
    ? `This is your order. The proposed one is at the lab at ${at}${own.faults.length > 0 ? '' : `, ${showMinutes(later)} earlier`}.`
    : 'This is your order. It is at the lab as early as the proposed one.';
}

/** What would help, each tried before it is said. What this page can do is a button; the rest is done elsewhere. */
function Remedies({ remedies, zone, take }: { remedies: readonly Remedy[]; zone: string; take: (remedy: Remedy) => void }) {
  if (remedies.length === 0)
    return <p className="panel">Nothing that was tried helps: an earlier start, another lab, another day, a point less.</p>;
  return (
    <section className="panel stack" aria-label="What would help">
      <h2>What would help</h2>
      <ul className="day-remedies">
        {remedies.map((remedy) => (
          <li key={JSON.stringify(remedy)}>
            {remedy.code === 'start-earlier' || remedy.code === 'no-lunch' ? (
              <Button size="large" onClick={() => take(remedy)}>
                {sayRemedy(remedy, zone)}
              </Button>
            ) : (
              sayRemedy(remedy, zone)
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

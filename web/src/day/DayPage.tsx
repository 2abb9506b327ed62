import { afterRemedy, dayCalendar, usualSettings, type DayOf, type DayTold, type Remedy } from '@fonte/core/day';
import { dayPlanned, DaySettings, type KnownDrive } from '@fonte/core/plan';
import { registerLists } from '@fonte/core/registers';
import { sayAbout } from '@fonte/core/round';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { useAnswer } from '../api/useAnswer.ts';
import { useRound } from '../book/useRound.ts';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { save } from '../feedback/save.ts';
import { now } from '../time/clock.ts';
import { Mark } from '../theme/Mark.tsx';
import { Remedies } from './Remedies.tsx';
import { readSettings, valuesOf, withDrive, type SettingsValues } from './settings.ts';
import { SettingsFields } from './SettingsFields.tsx';
import { StopList } from './StopList.tsx';
import { Timeline } from './Timeline.tsx';
import { useDayOf } from './useDayOf.ts';
import { usePlanner, type OwnOrder } from './usePlanner.ts';
import { compare, sayBest, Verdict } from './Verdict.tsx';
import './day.css';

/** The day of a round, worked backwards from the lab's door: in which order, when, and what will go wrong while it can be helped. */
export function DayPage() {
  const of = useDayOf();
  const { data: labs } = useAnswer(registerLists.labs, { query: { limit: 200 } });
  if (!of) return <p role="alert">This copy of Fonte does not have the bottles of this round: the day cannot be worked out here.</p>;
  if (!labs) return <Loading what="the labs" />;
  return <Day of={of} labs={labs} />;
}

/** The visits of a day in its order. */
const orderOf = ({ day, problem }: DayTold): string[] => day.order.map((stop) => problem.stops[stop]!.id);

/** The visit after which the cooler is emptied on the way; undefined where it is not. */
const afterOf = ({ problem }: DayTold): string | undefined => problem.midway && problem.stops[problem.midway.after]!.id;

function Day({ of, labs }: { of: DayOf; labs: Parameters<typeof usePlanner>[2] }) {
  const { id, round, append } = useRound();
  const begun = round.day ?? usualSettings;
  const [settings, setSettings] = useState<DaySettings>(begun);
  // Where the day was ordered already, that order stands until somebody asks for another.
  const [order, setOrder] = useState<OwnOrder | null>(
    round.day ? { order: of.visits.map((visit) => visit.id), after: round.day.midway?.after } : null,
  );
  const { proposal, own, remedies, isWeighing, error } = usePlanner(of, settings, labs, order);
  const told = own ?? proposal;

  const drives = settings.drives ?? [];
  const read = (values: SettingsValues) =>
    readSettings(values, drives, (told && afterOf(told)) ?? settings.midway?.after ?? of.visits[0]?.id);
  const form = useEntryForm<SettingsValues, (typeof dayPlanned)['payload']['_output']>({
    keep: `day.${id}`,
    initial: valuesOf(begun),
    schema: dayPlanned.payload,
    read: (values) => {
      const { value, problems } = read(values);
      return { value: { ...(value as object), order: told ? orderOf(told) : [] }, problems };
    },
    write: (payload, { id: entry, kept }) =>
      append(dayPlanned, payload, {
        id: entry,
        kept: () => (kept(), setSettings(payload), setOrder({ order: payload.order, after: payload.midway?.after })),
      }),
    next: (values) => values,
  });
  const settle = () => {
    const { value, problems } = read(form.values);
    const parsed = DaySettings.safeParse(value);
    if (problems.length === 0 && parsed.success && JSON.stringify(parsed.data) !== JSON.stringify(settings)) setSettings(parsed.data);
  };

  // What was typed before a reload is planned by as well; a choice is made at once.
  const { at, midway: onTheWay, byDaylight } = form.values;
  // eslint-disable-next-line react-hooks/exhaustive-deps
  useEffect(settle, [at, onTheWay, byDaylight]);

  if (error) return <Failed error={error} />;
  if (!told) return <Loading what="the day: the orders are weighed" />;
  const move = (from: number, to: number) => {
    const now = orderOf(told);
    const [moved] = now.splice(from, 1);
    now.splice(to, 0, moved!);
    setOrder({ order: now, after: afterOf(told) });
  };
  const take = (remedy: Remedy) => {
    const changed = afterRemedy(settings, remedy);
    setSettings(changed);
    form.set(valuesOf(changed));
    setOrder(null);
  };
  const known = (ends: KnownDrive['ends'], lasts: number | null) => {
    const { drives: _, ...without } = settings;
    const now = withDrive(drives, ends, lasts);
    setSettings(now.length > 0 ? { ...without, drives: now } : without);
  };
  const doorNamed = (name: string | undefined) => name ?? of.lab?.name ?? 'Back';
  const isSame = proposal !== undefined && orderOf(told).join() === orderOf(proposal).join();
  return (
    <>
      <Verdict told={told} of={of} isOwn={own !== null && !isSame} />
      <Timeline told={told} zone={of.zone} />
      <div className="day">
        <section aria-label="Stops">
          {/* Over the list: what comes a while later must not move the form that somebody types into. */}
          {proposal && told.faults.length > 0 && <Remedies remedies={remedies} zone={of.zone} take={take} />}
          {told.findings.map(({ code, data, ...finding }) => (
            <p key={`${code} ${String(data?.['name'])}`} className={`finding ${finding.severity}`}>
              <Mark kind={finding.severity === 'stop' ? 'stop' : 'question'} />
              <span>{sayAbout({ code, data, ...finding }).says}</span>
            </p>
          ))}
          <StopList
            told={told}
            zone={of.zone}
            doors={{ end: doorNamed(settings.at), midway: doorNamed(settings.midway?.at) }}
            move={move}
            drive={known}
          />
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
          {proposal && isSame && told.faults.length === 0 && <p className="soft">{sayBest(proposal)}</p>}
          {isWeighing && <p role="status">Weighing the orders …</p>}
          <EntryForm
            of={form}
            submit={round.day ? 'Write the order down anew' : 'Write the order down'}
            className="panel stack"
            enter="nothing"
            disabled={isWeighing}
          >
            <SettingsFields lab={of.lab} settle={settle} />
          </EntryForm>
          <div>
            <Button size="large" onClick={() => save(dayCalendar(of, told, round.plan.name, now()), `day-${of.code}.ics`, 'text/calendar')}>
              To the calendar
            </Button>
          </div>
        </div>
      </div>
    </>
  );
}

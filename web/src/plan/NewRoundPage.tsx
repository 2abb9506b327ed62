import { questionIntake } from '@fonte/core/day';
import { bottleTables, cardAt, rulesFor } from '@fonte/core/bottles';
import { newId } from '@fonte/core/book';
import { findFreeCode, editionsOn } from '@fonte/core/round';
import {
  bottlesAt,
  countBottles,
  labellingOf,
  nthVisit,
  questionDay,
  questionFirstWater,
  questionOutOfUse,
  questionSurface,
  questionLab,
  roundPlanned,
} from '@fonte/core/plan';
import { registerLists, type Lab, type Point } from '@fonte/core/registers';
import { wallTime } from '@fonte/core/time';
import { Button, Checkbox, Input, Select } from 'antd';
import { useDeferredValue, useEffect, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import type { z } from 'zod';
import { useAnswer } from '../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { Findings } from '../findings/Findings.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field, NoControl } from '../form/Field.tsx';
import { useEntryForm, type EntryFormState } from '../form/useEntryForm.ts';
import { useMe } from '../session/session.ts';
import { usePages } from '../api/usePages.ts';
import { penned } from '../book/pen.ts';
import { writeOnce } from '../book/send.ts';
import { now } from '../time/clock.ts';
import { LimitSets, ownAmong } from '../editions/LimitSets.tsx';
import { limitsOf, rememberLimits } from '../editions/usualLimits.ts';
import { useOwnSets } from '../editions/useOwnSets.ts';
import { DayInput } from '../time/DayInput.tsx';
import { usualVisit, VisitChoice, type VisitDraft } from './VisitChoice.tsx';
import './plan.css';
import { siteZone } from '../time/show.ts';

/** What somebody comes with who wants it planned. */
interface Wanted {
  name: string;
  visits: Pick<VisitDraft, 'point' | 'analyses' | 'because'>[];
  /** The day it is wanted for. */
  date?: string;
}

interface Draft {
  name: string;
  system: string;
  date: string;
  /** The id of the lab, or empty for none. */
  lab: string;
  /** `limits` null: those that hold on the day and are usual here. */
  editions: { limits: string[] | null };
  /** In the order of the day. Points stand as they were when they were chosen: a search does not lose them. */
  visits: VisitDraft[];
  /** The id of the round's book. */
  book: string;
}

const lastLab = 'fonte.lab';

/** The lab of the last round that was planned on this device, else the one that was registered first. */
const usualLab = (labs: readonly Lab[]): Lab | undefined =>
  labs.find(({ id }) => id === localStorage.getItem(lastLab)) ?? [...labs].sort((a, b) => (a.id < b.id ? -1 : 1))[0];

/** What the lab of a plan does not take in on its day. */
function intakeOf(lab: Lab | null, date: string, visits: readonly VisitDraft[]) {
  const table = bottleTables.on('bottles', date) ?? bottleTables.newest[0]!;
  const rules = rulesFor(
    table,
    visits.flatMap(({ analyses }) => analyses),
  );
  return questionIntake(lab, date, rules, table);
}

/** The code that the round will have; nothing until it is known. */
const sayRound = (code: string) => (code === '' ? '' : `Round ${code}.`);

function PlanForm({ labs }: { labs: Lab[] }) {
  const author = useMe().id;
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const usual = usualLab(labs);
  const zone = usual?.zone ?? siteZone();
  const own = useOwnSets();
  const form: EntryFormState<Draft> = useEntryForm<Draft, z.output<typeof roundPlanned.payload>>({
    keep: 'round',
    initial: {
      name: '',
      system: '',
      date: wallTime(now(), zone).date,
      lab: usual?.id ?? '',
      editions: { limits: null },
      visits: [],
      book: newId(now()),
    },
    schema: roundPlanned.payload,
    read: ({ book: _, ...said }) => {
      const lab = labs.find((one) => one.id === said.lab) ?? null;
      const named = [...limits, ...said.visits.flatMap((one) => one.limits ?? [])];
      const editions = { ...editionsOn(said.date), limits };
      return { value: { ...said, lab, zone: lab?.zone ?? zone, code, editions, ...ownAmong(named, own) }, problems: [] };
    },
    ask: ({ date, lab, visits }) => [
      ...questionDay(date, wallTime(now(), zone).date),
      ...questionLab(
        lab,
        visits.flatMap(({ analyses }) => analyses),
      ),
      ...questionFirstWater(visits),
      ...questionOutOfUse(visits.map(({ point }) => point)),
      ...questionSurface(visits).filter(({ severity }) => severity === 'question'),
      ...intakeOf(lab, date, visits),
    ],
    write: async (planned, { id, kept }) => {
      const { book } = form.values;
      await writeOnce(await penned(roundPlanned, planned, { book, author, moment: now(), id }));
      if (planned.lab) localStorage.setItem(lastLab, planned.lab.id);
      if (draft.editions.limits) rememberLimits(draft.editions.limits, own);
      kept();
      await mutate((key) => typeof key === 'string' && /\/api\/(rounds|today)/.test(key));
      await navigate(`/rounds/${book}`);
    },
  });
  const { state, pathname } = useLocation() as { state: Wanted | null; pathname: string };
  // What somebody came here with is put beside what is chosen already, once: a reload does not put it there again.
  useEffect(() => {
    if (!state) return;
    const fresh = state.visits.filter(({ point }) => !form.values.visits.some((one) => one.point.id === point.id));
    form.set({
      ...(form.values.name === '' ? { name: state.name } : {}),
      visits: [...form.values.visits, ...fresh.map((wanted) => ({ ...wanted, id: newId(now()) }))],
      ...(state.date ? { date: state.date } : {}),
    });
    void navigate(pathname, { replace: true, state: null });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [state]);
  const draft = form.values;
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const { items: points = [], more } = usePages(registerLists.points, asked === '' ? {} : { search: asked }, 50, (point) => point.id);
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(draft.date);
  const { data: free } = useAnswer(findFreeCode, isDay ? { query: { date: draft.date } } : null);
  const code = free?.code ?? '';
  const table = bottleTables.on('bottles', draft.date) ?? bottleTables.newest[0]!;
  const { visits } = draft;
  const lab = labs.find(({ id }) => id === draft.lab) ?? null;
  const { limits, sets, why } = limitsOf(isDay ? draft.date : null, draft.editions.limits, own);
  const { set } = form;
  const visit = (point: Point) => set({ visits: [...visits, usualVisit(newId(now()), point, draft.date)] });
  const others = points.filter((point) => !visits.some((one) => one.point.id === point.id));
  const counts = countBottles(
    table,
    visits.flatMap((one) =>
      bottlesAt(one, labellingOf({ date: draft.date, code, lab }), table, { nth: nthVisit(visits, one.id) }).map((bottle) => ({
        ...bottle,
        card: cardAt(table, bottle.rule, one.point),
      })),
    ),
  );
  return (
    <EntryForm of={form} submit="Plan it" disabled={isDay && code === ''}>
      <h1>Plan a round</h1>
      <div className="form-grid">
        <Field name="name" />
        <Field name="system" />
        <Field name="date">
          <DayInput />
        </Field>
        <Field name="lab">
          <Select size="large" options={[...labs.map((lab) => ({ value: lab.id, label: lab.name })), { value: '', label: 'No lab' }]} />
        </Field>
        <Field name={['editions', 'limits']} hint={why}>
          <LimitSets usual={limits} sets={sets} />
        </Field>
      </div>
      {isDay && form.asked.length === 0 && (
        <Findings of={[...questionDay(draft.date, wallTime(now(), zone).date), ...intakeOf(lab, draft.date, visits)]} />
      )}
      <section className="stack">
        <h2>Points</h2>
        {(points.length > 8 || search !== '') && (
          <Input
            allowClear
            size="large"
            aria-label="Find a point"
            placeholder="Name or code"
            value={search}
            maxLength={80}
            onChange={(event) => setSearch(event.target.value)}
          />
        )}
        <div className="choose">
          {visits.map((one) => (
            <VisitChoice
              key={one.id}
              visit={one}
              nth={nthVisit(visits, one.id)}
              table={table}
              sets={sets}
              onChange={(change) =>
                set({ visits: visits.map((other) => (other.id === one.id ? { id: one.id, point: one.point, ...change } : other)) })
              }
              onAgain={() => visit(one.point)}
              onRemove={() => set({ visits: visits.filter((other) => other.id !== one.id) })}
            />
          ))}
          {others.map((point) => (
            <div key={point.id} className="choose-point">
              <Checkbox checked={false} onChange={() => visit(point)}>
                <span className="strong">{point.name}</span>{' '}
                <span className="soft">
                  {point.code}, {point.place}
                </span>
              </Checkbox>
            </div>
          ))}
        </div>
        {more && (
          <div>
            <Button onClick={more}>More points</Button>
          </div>
        )}
        <Field name="visits" label="">
          <NoControl />
        </Field>
      </section>
      <p className="soft">
        {counts.length === 0
          ? 'No bottles yet.'
          : `Bottles: ${counts.map(({ card, needed, spares }) => `${needed} + ${spares} spare ${card.name.toLowerCase()}`).join(', ')}.`}{' '}
        {sayRound(code)}
      </p>
    </EntryForm>
  );
}

export function NewRoundPage() {
  const points = useAnswer(registerLists.points, { query: { limit: 1 } });
  const labs = useAnswer(registerLists.labs, {});
  const error: unknown = points.error ?? labs.error;
  if (error) return <Failed error={error} retry={() => location.reload()} />;
  if (!points.data || !labs.data) return <Loading what="the register" />;
  if (points.data.length === 0)
    return (
      <Empty title="No point is registered yet">
        <p>A round visits points: wells and taps.</p>
        <Link to="/points/new">Register a point</Link>
      </Empty>
    );
  return <PlanForm labs={labs.data} />;
}

import { bottleTables, cardOf } from '@fonte/core/bottles';
import { newId, writeEntry } from '@fonte/core/book';
import { findFreeCode, editionsOn } from '@fonte/core/round';
import { bottlesAt, countBottles, nthVisit, roundPlanned } from '@fonte/core/plan';
import { registerLists, type Lab, type Point } from '@fonte/core/registers';
import { day, wallTime } from '@fonte/core/time';
import { Button, Checkbox, DatePicker, Input, Select } from 'antd';
import dayjs from 'dayjs';
import { useDeferredValue, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { ApiProblem } from '../api/call.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { Empty, Failed, Loading } from '../feedback/Feedback.tsx';
import { Labelled } from '../form/Labelled.tsx';
import { deviceId, useSession } from '../session/session.ts';
import { usePages } from '../api/usePages.ts';
import { writeOnce } from '../book/send.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { now, offsetAt } from '../time/clock.ts';
import { useDraft } from '../units/useDraft.ts';
import { LimitSets, setsOn } from '../editions/LimitSets.tsx';
import { Mark } from '../theme/Mark.tsx';
import { showDate } from '../time/show.ts';
import { usualAnalyses, VisitChoice, type VisitDraft } from './VisitChoice.tsx';
import './plan.css';

interface Draft {
  name: string;
  system: string;
  date: string;
  lab: string;
  /** Null: those that hold on the day and are usual here. */
  limits: string[] | null;
  /** In the order of the day. Points stand as they were when they were chosen: a search does not lose them. */
  visits: VisitDraft[];
  /** The unusual day that was confirmed. */
  confirmed: string;
  entry: string;
}

/** A round is planned for a day up to so far ahead without a question. */
const usualAhead = 60 * day;

/** What is odd about a day (`YYYY-MM-DD`), seen from today; null when nothing is. */
function oddDay(date: string, today: string): string | null {
  if (date < today) return `${showDate(date)} is past.`;
  const ahead = Date.parse(date) - Date.parse(today);
  return ahead > usualAhead ? `${showDate(date)} is ${Math.round(ahead / day)} days ahead.` : null;
}

const deviceZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

function PlanForm({ labs }: { labs: Lab[] }) {
  const { author } = useSession();
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const zone = labs[0]?.zone ?? deviceZone();
  const [draft, setDraft, clear, id] = useDraft<Draft>('round', {
    name: '',
    system: '',
    date: wallTime(now(), zone).date,
    lab: labs[0]?.id ?? '',
    limits: null,
    visits: [],
    confirmed: '',
    entry: newId(now()),
  });
  const { busy, run, at, say } = useAction();
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const { items: points = [], more } = usePages(registerLists.points, asked === '' ? {} : { search: asked }, 50, (point) => point.id);
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(draft.date);
  const { data: free } = useAnswer(findFreeCode, isDay ? { query: { date: draft.date } } : null);
  const code = free?.code ?? '';
  const table = bottleTables.on('bottles', draft.date) ?? bottleTables.newest[0]!;
  const { visits } = draft;
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const visit = (point: Point) => set({ visits: [...visits, { id: newId(now()), point, analyses: usualAnalyses(point) }] });
  const others = points.filter((point) => !visits.some((one) => one.point.id === point.id));
  const counts = countBottles(
    table,
    visits.flatMap((one) => bottlesAt(one, code, table, { nth: nthVisit(visits, one.id) })),
  );
  const editions = isDay ? editionsOn(draft.date) : null;
  const limits = draft.limits ?? editions?.limits ?? [];
  const odd = isDay ? oddDay(draft.date, wallTime(now(), zone).date) : null;
  const plan = () =>
    run(async () => {
      if (odd && draft.confirmed !== draft.date)
        throw new ApiProblem(422, 'The day is asked about.', [{ path: 'payload.date', message: `${odd} Is that the day?` }]);
      const moment = now();
      const pen = { book: id, author, device: deviceId(), now: moment, offset: offsetAt(moment) };
      const planned = {
        name: draft.name,
        system: draft.system,
        date: draft.date,
        code,
        zone: labs.find((lab) => lab.id === draft.lab)?.zone ?? zone,
        lab: labs.find((lab) => lab.id === draft.lab) ?? null,
        editions: { ...editionsOn(draft.date), limits },
        visits,
      };
      await writeOnce(writeEntry(pen, roundPlanned, planned, { id: draft.entry }));
      clear();
      await mutate((key) => typeof key === 'string' && /\/api\/(rounds|today)/.test(key));
      await navigate(`/rounds/${id}`);
    });
  return (
    <form
      className="stack-wide"
      onSubmit={(event) => {
        event.preventDefault();
        void plan();
      }}
    >
      <h1>Plan a round</h1>
      <div className="form-grid">
        <Labelled label="Name" error={at('name')}>
          {(field) => (
            <Input id={field} size="large" value={draft.name} maxLength={120} onChange={(event) => set({ name: event.target.value })} />
          )}
        </Labelled>
        <Labelled label="System or site" error={at('system')}>
          {(field) => (
            <Input id={field} size="large" value={draft.system} maxLength={120} onChange={(event) => set({ system: event.target.value })} />
          )}
        </Labelled>
        <Labelled label="Day" error={at('date')}>
          {(field) => (
            <DatePicker
              id={field}
              size="large"
              format="YYYY-MM-DD"
              allowClear={false}
              value={isDay ? dayjs(draft.date) : null}
              onChange={(chosen) => set({ date: chosen?.format('YYYY-MM-DD') ?? '' })}
            />
          )}
        </Labelled>
        <Labelled label="Lab" error={at('lab')}>
          {(field) => (
            <Select
              id={field}
              size="large"
              value={draft.lab}
              onChange={(lab) => set({ lab })}
              options={[...labs.map((lab) => ({ value: lab.id, label: lab.name })), { value: '', label: 'No lab' }]}
            />
          )}
        </Labelled>
        <Labelled label="Limits, the first one leads" error={at('editions.limits')}>
          {(field) => <LimitSets id={field} value={limits} onChange={(chosen) => set({ limits: chosen })} sets={setsOn(draft.date)} />}
        </Labelled>
      </div>
      {odd && (
        <div className="finding question">
          <Mark kind="question" />
          <p>{odd}</p>
          <Checkbox
            checked={draft.confirmed === draft.date}
            onChange={(event) => set({ confirmed: event.target.checked ? draft.date : '' })}
          >
            That is the day
          </Checkbox>
        </div>
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
              sets={setsOn(draft.date)}
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
        {at('visits') && <p className="field-error">{at('visits')}</p>}
      </section>
      <p className="soft">
        {counts.length === 0
          ? 'No bottles yet.'
          : `Bottles: ${counts.map(({ rule, needed, spares }) => `${needed} + ${spares} spare ${cardOf(table, rule).name.toLowerCase()}`).join(', ')}.`}{' '}
        Round {code}.
      </p>
      <Said say={say} />
      <div>
        <Button type="primary" size="large" htmlType="submit" loading={busy}>
          Plan it
        </Button>
      </div>
    </form>
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

import { analysisIds, bottleTables, type AnalysisId } from '@fonte/core/bottles';
import { newId, writeEntry } from '@fonte/core/book';
import { editionsOn } from '@fonte/core/round';
import { countBottles, roundPlanned } from '@fonte/core/plan';
import type { Lab, Point } from '@fonte/core/registers';
import { wallTime } from '@fonte/core/time';
import { Button, Checkbox, Input, Select } from 'antd';
import { useDeferredValue, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import useSWR, { useSWRConfig } from 'swr';
import { Empty, Failed, Loading } from '../app/Feedback.tsx';
import { Labelled } from '../app/Labelled.tsx';
import { deviceId, useSession } from '../app/session.ts';
import { usePages } from '../app/usePages.ts';
import { writeOnce } from '../book/send.ts';
import { Said } from '../book/Said.tsx';
import { useAction } from '../book/useAction.ts';
import { now, offsetAt } from '../time/clock.ts';
import { useDraft } from '../units/useDraft.ts';
import './plan.css';

interface Draft {
  name: string;
  system: string;
  date: string;
  lab: string;
  chosen: Record<string, AnalysisId[]>;
  /** The points that are chosen, as they were when they were: a search does not lose them. */
  picked: Point[];
  entry: string;
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
    chosen: {},
    picked: [],
    entry: newId(now()),
  });
  const { busy, run, at, say } = useAction();
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const { items: points = [], more } = usePages<Point>(
    asked === '' ? '/api/points' : `/api/points?search=${encodeURIComponent(asked)}`,
    50,
    (point) => point.id,
  );
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(draft.date);
  const { data: free } = useSWR<{ code: string }>(isDay ? `/api/rounds/free-code?date=${draft.date}` : null);
  const code = free?.code ?? '';
  const table = bottleTables.on('bottles', draft.date) ?? bottleTables.newest[0]!;
  const { picked } = draft;
  const shown = [...picked, ...points.filter((point) => !draft.chosen[point.id])];
  const counts = countBottles(
    table,
    picked.map((point) => draft.chosen[point.id] ?? []),
  );
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const pick = (point: Point, on: boolean) => {
    const { [point.id]: _, ...rest } = draft.chosen;
    const others = picked.filter((one) => one.id !== point.id);
    const usual: AnalysisId[] = point.type === 'well' ? ['general', 'nutrients', 'metals'] : ['coliforms'];
    set(on ? { chosen: { ...rest, [point.id]: usual }, picked: [...others, point] } : { chosen: rest, picked: others });
  };
  const plan = () =>
    run(async () => {
      const moment = now();
      const pen = { book: id, author, device: deviceId(), now: moment, offset: offsetAt(moment) };
      const planned = {
        name: draft.name,
        system: draft.system,
        date: draft.date,
        code,
        zone: labs.find((lab) => lab.id === draft.lab)?.zone ?? zone,
        lab: labs.find((lab) => lab.id === draft.lab) ?? null,
        editions: editionsOn(draft.date),
        visits: picked.map((point) => ({ id: newId(moment), point, analyses: draft.chosen[point.id] ?? [] })),
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
            <Input id={field} size="large" type="date" value={draft.date} onChange={(event) => set({ date: event.target.value })} />
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
      </div>
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
          {shown.map((point) => (
            <div key={point.id} className="choose-point">
              <Checkbox checked={point.id in draft.chosen} onChange={(event) => pick(point, event.target.checked)}>
                <span className="strong">{point.name}</span>{' '}
                <span className="soft">
                  {point.code}, {point.place}
                </span>
              </Checkbox>
              {draft.chosen[point.id] && (
                <Checkbox.Group
                  value={draft.chosen[point.id] ?? []}
                  options={analysisIds.map((one) => ({ value: one, label: table.analyses[one].name }))}
                  onChange={(chosen) => set({ chosen: { ...draft.chosen, [point.id]: chosen } })}
                />
              )}
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
          : `Bottles: ${counts.map(({ rule, needed, spares }) => `${needed} + ${spares} spare ${table.rules[rule].name.toLowerCase()}`).join(', ')}.`}{' '}
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
  const points = useSWR<Point[]>('/api/points?limit=1');
  const labs = useSWR<Lab[]>('/api/labs');
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

import { analysis, analysisIds, type AnalysisId } from '@fonte/core/bottles';
import { newId, writeEntry } from '@fonte/core/book';
import { bottleRule } from '@fonte/core/bottles';
import { countBottles, roundPlanned } from '@fonte/core/plan';
import type { Lab, Point } from '@fonte/core/registers';
import { wallTime } from '@fonte/core/time';
import { Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import useSWR, { useSWRConfig } from 'swr';
import { post } from '../app/api.ts';
import { Empty, Failed, Loading } from '../app/Feedback.tsx';
import { Labelled } from '../app/Labelled.tsx';
import { useSession } from '../app/session.ts';
import { Said } from '../book/Said.tsx';
import { useAction } from '../book/useAction.ts';
import { now, offsetAt } from '../time/clock.ts';
import { useDraft } from '../units/useDraft.ts';
import type { RoundLine } from '../today/TodayPage.tsx';
import { freeCode } from './code.ts';
import './plan.css';

interface Draft {
  name: string;
  system: string;
  date: string;
  lab: string;
  chosen: Record<string, AnalysisId[]>;
}

const deviceZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

function PlanForm({ points, labs, rounds }: { points: Point[]; labs: Lab[]; rounds: RoundLine[] }) {
  const { author } = useSession();
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const zone = labs[0]?.zone ?? deviceZone();
  const [draft, setDraft, clear] = useDraft<Draft>('round', {
    name: '',
    system: '',
    date: wallTime(now(), zone).date,
    lab: labs[0]?.id ?? '',
    chosen: {},
  });
  const { busy, run, at, say } = useAction();
  const [id] = useState(() => newId(now()));
  const code = freeCode(
    draft.date,
    rounds.map((round) => round.code),
  );
  const picked = points.filter((point) => draft.chosen[point.id]);
  const counts = countBottles(picked.map((point) => draft.chosen[point.id] ?? []));
  const set = (change: Partial<Draft>) => setDraft({ ...draft, ...change });
  const pick = (point: Point, on: boolean) => {
    const { [point.id]: _, ...rest } = draft.chosen;
    set({ chosen: on ? { ...rest, [point.id]: point.type === 'well' ? ['general', 'nutrients', 'metals'] : ['coliforms'] } : rest });
  };
  const plan = () =>
    run(async () => {
      const moment = now();
      await post(
        `/api/books/${id}/entries`,
        writeEntry({ book: id, author, now: moment, offset: offsetAt(moment) }, roundPlanned, {
          name: draft.name,
          system: draft.system,
          date: draft.date,
          code,
          zone: labs.find((lab) => lab.id === draft.lab)?.zone ?? zone,
          lab: labs.find((lab) => lab.id === draft.lab) ?? null,
          visits: picked.map((point) => ({ id: newId(moment), point, analyses: draft.chosen[point.id] ?? [] })),
        }),
      );
      clear();
      await mutate('/api/rounds');
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
        <div className="choose">
          {points.map((point) => (
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
                  options={analysisIds.map((one) => ({ value: one, label: analysis(one).name }))}
                  onChange={(chosen) => set({ chosen: { ...draft.chosen, [point.id]: chosen } })}
                />
              )}
            </div>
          ))}
        </div>
        {at('visits') && <p className="field-error">{at('visits')}</p>}
      </section>
      <p className="soft">
        {counts.length === 0
          ? 'No bottles yet.'
          : `Bottles: ${counts.map(({ rule, needed, spares }) => `${needed} + ${spares} spare ${bottleRule(rule).name.toLowerCase()}`).join(', ')}.`}{' '}
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
  const points = useSWR<Point[]>('/api/points');
  const labs = useSWR<Lab[]>('/api/labs');
  const rounds = useSWR<RoundLine[]>('/api/rounds');
  const error: unknown = points.error ?? labs.error ?? rounds.error;
  if (error) return <Failed error={error} retry={() => location.reload()} />;
  if (!points.data || !labs.data || !rounds.data) return <Loading what="the register" />;
  if (points.data.length === 0)
    return (
      <Empty title="No point is registered yet">
        <p>A round visits points: wells and taps.</p>
        <Link to="/points/new">Register a point</Link>
      </Empty>
    );
  return <PlanForm points={points.data} labs={labs.data} rounds={rounds.data} />;
}

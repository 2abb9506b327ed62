import { newId, writeEntry } from '@fonte/core/book';
import { pointRegistered, type Point } from '@fonte/core/registers';
import { usualResidualMinimum } from '@fonte/core/tap';
import { base, readNumber, type Typed } from '@fonte/core/units';
import { Button, Input, Segmented } from 'antd';
import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { deviceId, useSession } from '../app/session.ts';
import { writeOnce } from '../book/send.ts';
import { Said } from '../book/Said.tsx';
import { useAction } from '../book/useAction.ts';
import { now, offsetAt } from '../time/clock.ts';
import { numberError, TypedField } from '../units/TypedField.tsx';
import { useDraft } from '../units/useDraft.ts';
import '../plan/plan.css';

const lengths = ['elevation', 'stickUp', 'bottom', 'screenTop', 'screenBottom', 'insideDiameter'] as const;
type Length = (typeof lengths)[number];
const lengthNames: Record<Length, string> = {
  elevation: 'Elevation of the mark',
  stickUp: 'Mark above ground',
  bottom: 'Bottom, below ground',
  screenTop: 'Screen from, below ground',
  screenBottom: 'Screen to, below ground',
  insideDiameter: 'True inside diameter',
};
interface Draft {
  type: Point['type'];
  use: Point['use'];
  texts: Record<'name' | 'code' | 'place' | 'access' | 'outlet' | 'mark', string>;
  lengths: Record<Length, Typed>;
  residual: string;
}

const empty: Draft = {
  type: 'well',
  use: 'monitoring',
  texts: { name: '', code: '', place: '', access: '', outlet: '', mark: 'North rim of the casing' },
  residual: String(usualResidualMinimum),
  lengths: Object.fromEntries(lengths.map((name) => [name, { text: '', unit: name === 'insideDiameter' ? 'mm' : 'm' }])) as Record<
    Length,
    Typed
  >,
};

function pointOf({ type, use, texts, lengths: typed, residual }: Draft, id: string): Point {
  const metres = (name: Length) => base(typed[name]);
  const shared = { id, code: texts.code, name: texts.name, place: texts.place, use, access: texts.access };
  if (type === 'tap') {
    const minimum = readNumber(residual);
    return { ...shared, type, tap: { outlet: texts.outlet, residualMinimum: minimum.ok ? minimum.value : null } };
  }
  return {
    ...shared,
    type,
    well: {
      measuringPoints: [{ name: texts.mark, elevation: metres('elevation'), stickUp: metres('stickUp') }],
      bottom: metres('bottom'),
      screenTop: metres('screenTop'),
      screenBottom: metres('screenBottom'),
      insideDiameter: metres('insideDiameter'),
    },
  };
}

/** A new row of the register. Everything is checked by the schema that the server uses. */
export function NewPointPage() {
  const { author } = useSession();
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const [draft, setDraft, clear, id] = useDraft<Draft>('point', empty);
  const [tried, setTried] = useState(false);
  const { busy, run, at, say } = useAction();
  const prefix = useId();
  const [entryId] = useState(() => newId(now()));
  const residualProblem = draft.residual.trim() === '' ? undefined : numberError({ text: draft.residual, unit: 'mg/L' });
  const problems = draft.type === 'well' ? lengths.filter((name) => numberError(draft.lengths[name])) : [residualProblem].filter(Boolean);
  const parsed = problems.length === 0 ? pointRegistered.payload.safeParse(pointOf(draft, id)) : null;
  const wrong = (path: string) =>
    (tried ? parsed?.error?.issues.find((issue) => issue.path.join('.') === path)?.message : undefined) ?? at(path);
  const wellPath: Record<Length, string> = {
    elevation: 'well.measuringPoints.0.elevation',
    stickUp: 'well.measuringPoints.0.stickUp',
    bottom: 'well.bottom',
    screenTop: 'well.screenTop',
    screenBottom: 'well.screenBottom',
    insideDiameter: 'well.insideDiameter',
  };
  const text = (name: keyof Draft['texts'], label: string, path: string = name) => (
    <div className="typed">
      <label htmlFor={prefix + name}>{label}</label>
      <Input
        id={prefix + name}
        size="large"
        value={draft.texts[name]}
        maxLength={500}
        onChange={(event) =>
          setDraft({ ...draft, texts: { ...draft.texts, [name]: name === 'code' ? event.target.value.toUpperCase() : event.target.value } })
        }
      />
      {wrong(path) && <p className="field-error">{wrong(path)}</p>}
    </div>
  );
  const write = () => {
    setTried(true);
    if (!parsed?.success) return;
    void run(async () => {
      const moment = now();
      const pen = { book: id, author, device: deviceId(), now: moment, offset: offsetAt(moment) };
      // The form's own id is the point's: sent twice, it registers one point.
      await writeOnce(writeEntry(pen, pointRegistered, parsed.data, { id: entryId }));
      clear();
      await mutate((key) => typeof key === 'string' && key.includes('/api/points'));
      await navigate('/points');
    });
  };
  return (
    <form
      className="stack-wide"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <h1>Register a point</h1>
      <div className="row">
        <Segmented<Point['type']>
          aria-label="Kind"
          size="large"
          value={draft.type}
          onChange={(type) => setDraft({ ...draft, type, use: type === 'tap' ? 'supply' : draft.use })}
          options={[
            { value: 'well', label: 'Well' },
            { value: 'tap', label: 'Tap' },
          ]}
        />
        <Segmented<Point['use']>
          aria-label="Use"
          size="large"
          value={draft.use}
          onChange={(use) => setDraft({ ...draft, use })}
          options={[
            { value: 'monitoring', label: 'Monitoring' },
            { value: 'supply', label: 'Supply: people drink it' },
          ]}
        />
      </div>
      <div className="form-grid">
        {text('name', 'Name')}
        {text('code', 'Code for labels')}
        {text('place', 'Place')}
        {text('access', 'The way in, what to bring')}
      </div>
      {draft.type === 'tap' ? (
        <div className="form-grid">
          {text('outlet', 'Which outlet exactly', 'tap.outlet')}
          <TypedField
            label="Least free chlorine"
            value={{ text: draft.residual, unit: 'mg/L' }}
            units={['mg/L']}
            onChange={(value) => setDraft({ ...draft, residual: value.text })}
            hint="Leave empty where the water is not chlorinated"
            error={(tried ? residualProblem : undefined) ?? wrong('tap.residualMinimum')}
          />
        </div>
      ) : (
        <div className="form-grid">
          {text('mark', 'Measuring point', 'well.measuringPoints.0.name')}
          {lengths.map((name) => (
            <TypedField
              key={name}
              label={lengthNames[name]}
              value={draft.lengths[name]}
              units={name === 'insideDiameter' ? ['mm', 'in'] : ['m', 'ft']}
              error={(tried ? numberError(draft.lengths[name]) : undefined) ?? wrong(wellPath[name])}
              onChange={(value) => setDraft({ ...draft, lengths: { ...draft.lengths, [name]: value } })}
            />
          ))}
        </div>
      )}
      <Said say={say} />
      <div>
        <Button type="primary" size="large" htmlType="submit" loading={busy}>
          Register it
        </Button>
      </div>
    </form>
  );
}

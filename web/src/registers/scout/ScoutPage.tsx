import { fault, faultsAt, testKinds } from '@fonte/core/arrive';
import { Point, pointRegistered, questionPosition, registerLists } from '@fonte/core/registers';
import { pointScouted } from '@fonte/core/scout';
import type { Typed } from '@fonte/core/units';
import { Input } from 'antd';
import { Link, useNavigate } from 'react-router';
import type { z } from 'zod';
import { useAnswer } from '../../api/useAnswer.ts';
import { penned } from '../../book/pen.ts';
import { writeOnce } from '../../book/send.ts';
import { Empty } from '../../feedback/Feedback.tsx';
import { EntryForm } from '../../form/EntryForm.tsx';
import { Field } from '../../form/Field.tsx';
import { ManySelect } from '../../form/ManySelect.tsx';
import { useEntryForm } from '../../form/useEntryForm.ts';
import { inBase, typedOf } from '../../form/values.ts';
import { useMay } from '../../session/May.tsx';
import { useSession } from '../../session/session.ts';
import { now } from '../../time/clock.ts';
import { FromPhone } from '../point/FromPhone.tsx';
import { KnownPoint } from '../point/KnownPoint.tsx';
import { useRegister } from '../useRegister.ts';
import { PicturesField } from './PicturesField.tsx';
import { Seen } from './Seen.tsx';
import '../point/point.css';

/** A point that somebody stands at without a round: what is seen there, the way in, where it is. */
export function ScoutPage() {
  const may = useMay(pointScouted);
  return (
    <KnownPoint>
      {(point) =>
        may ? (
          <Scout key={point.id} point={point} />
        ) : (
          <Empty title="This is for those who work in the field">
            <Link to={`/points/${point.id}`}>Back to the point</Link>
          </Empty>
        )
      }
    </KnownPoint>
  );
}

function Scout({ point }: { point: Point }) {
  return (
    <div className="stack-wide">
      <header>
        <h1>
          {point.name} <span className="soft">{point.code}</span>
        </h1>
        <p className="soft">
          {point.place}. No round is needed for this, and no clock runs. <Link to={`/points/${point.id}`}>Back to the point</Link>
        </p>
      </header>
      <div className="point-halves">
        <Look point={point} />
        <Way point={point} />
      </div>
      <Seen point={point.id} mayStrike />
    </div>
  );
}

type Looked = z.output<typeof pointScouted.payload>;

/** What may be odd at a point, in the order of an arrival. */
const oddAt = (point: Point) => faultsAt(point, testKinds).map((id) => ({ value: id, label: fault(id).seen }));

function Look({ point }: { point: Point }) {
  const { me } = useSession();
  const navigate = useNavigate();
  const form = useEntryForm<Looked, Looked>({
    keep: `scout.${point.id}`,
    initial: { pictures: [], outlet: '', found: [], note: '' },
    schema: pointScouted.payload,
    read: (values) => ({ value: values, problems: [] }),
    write: async (payload, { id, kept }) => {
      await writeOnce(await penned(pointScouted, payload, { book: point.id, author: me.person.id, moment: now(), id }), kept);
      await navigate(`/points/${point.id}`);
    },
  });
  return (
    <section className="stack">
      <h2>What you see</h2>
      <EntryForm of={form} submit="Write it down" enter="nothing" className="stack">
        <Field
          name="pictures"
          label="Pictures"
          hint="Without people on it. Each is made smaller, and where it was taken is not kept in it."
        >
          <PicturesField point={point.id} />
        </Field>
        {point.type === 'tap' && (
          <Field name="outlet" hint={`Registered: ${point.tap.outlet}`} placeholder="the left one at the wash basin" />
        )}
        <Field name="found" hint="Whoever comes with bottles is told, and looks for themselves">
          <ManySelect options={oddAt(point)} />
        </Field>
        <Field name="note">
          <Input.TextArea placeholder="ladder needed, the key is at the desk …" autoSize={{ minRows: 2, maxRows: 6 }} maxLength={600} />
        </Field>
      </EntryForm>
    </section>
  );
}

interface WayValues {
  access: string;
  position: { latitude: Typed; longitude: Typed };
}

/** The way in and where it is: how the point is registered from now on, and nothing else of it. */
function Way({ point }: { point: Point }) {
  const { data: known = [] } = useAnswer(registerLists.points, { query: { limit: 500 } });
  const others = known.flatMap(({ id, position }) => (position && id !== point.id ? [position] : []));
  const write = useRegister('points', pointRegistered, `/points/${point.id}`);
  const form = useEntryForm<WayValues, Point>({
    keep: `way.${point.id}`,
    initial: {
      access: point.access,
      position: { latitude: typedOf(point.position?.latitude, 'deg'), longitude: typedOf(point.position?.longitude, 'deg') },
    },
    schema: Point,
    read: ({ access, position }) => {
      const { value, problems } = inBase({ position });
      const { position: based } = value as { position?: object };
      const { position: _, ...rest } = point;
      return { value: { ...rest, access, ...(based && Object.keys(based).length > 0 ? { position: based } : {}) }, problems };
    },
    ask: ({ position }) => (position ? questionPosition(position, others) : []),
    write,
  });
  return (
    <section className="stack">
      <h2>How to get there</h2>
      <EntryForm of={form} submit="Keep the way" enter="nothing" className="stack">
        <Field name="access">
          <Input.TextArea autoSize={{ minRows: 2, maxRows: 5 }} maxLength={500} />
        </Field>
        <FromPhone take={(position) => form.set({ position })} />
        <div className="form-grid">
          <Field name={['position', 'latitude']} hint="South is negative" />
          <Field name={['position', 'longitude']} hint="West is negative" />
        </div>
      </EntryForm>
    </section>
  );
}

import { bottleLabelled } from '@fonte/core/fill';
import type { BottleState } from '@fonte/core/round';
import { Link } from 'react-router';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { May } from '../session/May.tsx';
import { useSession } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { roomPath } from '../visit/paths.ts';

/** The lab's stub of each bottle that was filled here: kept as its number, by which the result is asked for, or as a picture. */
export function Stubs({ bottles }: { bottles: readonly BottleState[] }) {
  const { id } = useRound();
  const { scope } = useSession().me;
  const filled = bottles.filter(({ state }) => state === 'filled');
  if (filled.length === 0) return null;
  return (
    <May do={bottleLabelled}>
      <div className="stack">
        {filled.map((bottle) => (
          <Stub key={`${bottle.id} ${bottle.code}`} bottle={bottle} />
        ))}
        {/* A household has one page, and no other is shown to it. */}
        {scope === null && <Link to={roomPath(id, 'pictures', filled[0]!.visit)}>Or keep it as a picture</Link>}
      </div>
    </May>
  );
}

function Stub({ bottle }: { bottle: BottleState }) {
  const { append } = useRound();
  const form = useEntryForm({
    keep: `stub.${bottle.id}`,
    initial: { code: '' },
    schema: bottleLabelled.payload.required({ code: true }),
    read: ({ code }) => ({ value: { bottle: bottle.id, how: 'by-eye', code }, problems: [] }),
    write: (payload, { id, kept }) => append(bottleLabelled, payload, { at: bottle.visit, id, kept }),
  });
  if (bottle.code !== null)
    return (
      <p className="word tone-good small">
        <Mark kind="good" size={16} />
        The stub of {bottle.id} is {bottle.code}
      </p>
    );
  return (
    <EntryForm of={form} submit="Keep the number" tone="default" enter="writes" className="row">
      <Field name="code" label={`Number on the stub of ${bottle.id}`} />
    </EntryForm>
  );
}

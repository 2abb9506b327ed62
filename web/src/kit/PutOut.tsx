import { kitPutOut, sayPickUp, type careFor, type PickUp } from '@fonte/core/kit';
import { Input } from 'antd';
import { useRound } from '../book/useRound.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { KitDrawing } from './KitDrawing.tsx';

/** The bottles are full: until they are picked up they stand where nobody reaches them who should not, and cold where they must. */
export function PutOut({ pickUp, care }: { pickUp: PickUp; care: ReturnType<typeof careFor> }) {
  const { id, append } = useRound();
  const form = useEntryForm<{ note: string }, { note: string }>({
    keep: `put-out.${id}`,
    initial: { note: '' },
    schema: kitPutOut.payload,
    write: (said, { id: entry, kept }) => append(kitPutOut, said, { id: entry, kept }),
  });
  return (
    <EntryForm of={form} submit="It stands there" enter="nothing" className="stack">
      <div className="kit-head">
        <KitDrawing of="out" />
        <div>
          <h2 className="step-say">Put the box out</h2>
          <p className="strong">{sayPickUp(pickUp)}</p>
        </div>
      </div>
      <p className="finding question">
        Out of reach of children and pets, in the shade, closed.{care.caution ? ` ${care.caution}` : ''}
        {care.cold ? ' Until then in the fridge, away from food.' : ''}
      </p>
      <Field name="note">
        <Input.TextArea autoSize maxLength={300} placeholder="the gate is locked, somebody flushed …" />
      </Field>
    </EntryForm>
  );
}

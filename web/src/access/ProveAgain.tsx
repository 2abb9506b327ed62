import { proveAgain } from '@fonte/core/access';
import { Input } from 'antd';
import { call } from '../api/call.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { useSession } from '../session/session.ts';

/** Asks for the passphrase again: what comes next is more than an entry. What stands around it goes on by itself then. */
export function ProveAgain({ why }: { why: string }) {
  const { me, enter } = useSession();
  const form = useEntryForm({
    keep: 'prove-again',
    isSecret: true,
    initial: { passphrase: '' },
    schema: proveAgain.body,
    write: async (said) => {
      await enter(await call(proveAgain, { body: said }));
    },
  });
  return (
    <EntryForm of={form} submit="Go on" className="stack">
      <p>
        {me.person.name}, type your passphrase again {why}: the last time was too long ago.
      </p>
      <Field name="passphrase">
        <Input.Password size="large" autoComplete="current-password" autoFocus />
      </Field>
    </EntryForm>
  );
}

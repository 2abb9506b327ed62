import { SignIn, signIn } from '@fonte/core/access';
import type { Person } from '@fonte/core/registers';
import { roleNames } from '@fonte/core/roles';
import { Button, Input, Modal } from 'antd';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { call } from '../api/call.ts';
import { useConnection } from '../api/connection.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { useAction } from '../feedback/useAction.ts';
import { Said } from '../feedback/Said.tsx';
import { knownProof } from '../session/device.ts';
import { ensureDevice } from '../session/open.ts';
import { checkPin, unlockPin } from '../session/pins.ts';
import { useSession } from '../session/session.ts';

/** Who goes on with this device: by PIN, or where there is none or it is locked by passphrase. */
export function PersonMenu({ open, close }: { open: boolean; close: () => void }) {
  const { me, people, signOut } = useSession();
  const [next, setNext] = useState<Person | 'other' | null>(null);
  const { busy, run, say } = useAction();
  const others = people.filter(
    (person) => person.id !== me.person.id && !person.left && me.device?.people.some((one) => one.person === person.id),
  );
  return (
    <Modal open={open} title="Who goes on?" onCancel={close} footer={null} destroyOnHidden>
      <div className="stack-wide">
        {next === null && (
          <>
            <p>
              <span className="strong">{me.person.name}</span>, {roleNames[me.person.role].toLowerCase()}, writes now.{' '}
              <Link to="/me" onClick={close}>
                My page
              </Link>
            </p>
            <div className="stack">
              {others.map((person) => (
                <Button key={person.id} size="large" block onClick={() => setNext(person)}>
                  {person.name}, {roleNames[person.role].toLowerCase()}
                </Button>
              ))}
              <Button size="large" block onClick={() => setNext('other')}>
                Somebody else signs in
              </Button>
            </div>
            <div>
              <Button
                loading={busy}
                onClick={() =>
                  void run(async () => {
                    await signOut(false);
                  })
                }
              >
                Sign out on this device
              </Button>
            </div>
            <Said say={say} />
          </>
        )}
        {next !== null && next !== 'other' && <ByPin person={next} close={close} />}
        {next === 'other' && <ByPassphrase name="" close={close} />}
      </div>
    </Modal>
  );
}

const pinSays = { wrong: 'That is not the PIN.', locked: 'Too many wrong ones: the PIN is locked.', none: 'No PIN is set on this device.' };

function ByPin({ person, close }: { person: Person; close: () => void }) {
  const { become } = useSession();
  const [pin, setPin] = useState('');
  const [fault, setFault] = useState<keyof typeof pinSays | null>(null);
  const { isLost } = useConnection();
  const { busy, run, say } = useAction();
  const check = (event: FormEvent) => {
    event.preventDefault();
    void run(async () => {
      const state = await checkPin(person.id, pin);
      setPin('');
      if (state !== 'right') return setFault(state);
      await become(person.id);
      close();
    });
  };
  if (fault === 'locked' || fault === 'none')
    return (
      <>
        <p role="alert">
          {pinSays[fault]} The passphrase opens it{isLost ? ', and needs a signal: there is none now' : ''}.
        </p>
        <ByPassphrase name={person.name} close={close} />
      </>
    );
  return (
    <form className="stack" onSubmit={check}>
      <label htmlFor="pin" className="strong">
        PIN of {person.name}
      </label>
      <Input.Password
        id="pin"
        size="large"
        inputMode="numeric"
        autoComplete="off"
        maxLength={8}
        autoFocus
        value={pin}
        onChange={(event) => setPin(event.target.value.replace(/\D/g, ''))}
      />
      {fault && (
        <p className="field-error" role="alert">
          {pinSays[fault]}
        </p>
      )}
      <Said say={say} />
      <div className="row">
        <Button type="primary" size="large" htmlType="submit" loading={busy} disabled={pin.length < 4}>
          Go on as {person.name}
        </Button>
        <Button size="large" onClick={() => setFault('none')}>
          By passphrase
        </Button>
      </div>
    </form>
  );
}

function ByPassphrase({ name, close }: { name: string; close: () => void }) {
  const { enter } = useSession();
  const form = useEntryForm({
    keep: 'change-person',
    isSecret: true,
    initial: { name, passphrase: '' },
    schema: SignIn,
    write: async (said) => {
      const told = await ensureDevice(await call(signIn, { body: { ...said, known: await knownProof() } }));
      if (told.me) await unlockPin(told.me.person.id).catch(() => undefined);
      await enter(told);
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Sign in">
      <Field name="name" />
      <Field name="passphrase">
        <Input.Password size="large" autoComplete="current-password" />
      </Field>
    </EntryForm>
  );
}

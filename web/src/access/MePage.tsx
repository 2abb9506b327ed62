import { browserSupportsWebAuthn, startRegistration } from '@simplewebauthn/browser';
import { addPasskey, askForPasskey, changePassphrase, listPasskeys, mustProve, personKept, removePasskey } from '@fonte/core/access';
import { fingerprint, keyIdOf } from '@fonte/core/book';
import { addressOf } from '@fonte/core/endpoints';
import { roleDuties, roleNames } from '@fonte/core/roles';
import { Button, Input } from 'antd';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { z } from 'zod';
import { call } from '../api/call.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { useAction } from '../feedback/useAction.ts';
import { Said } from '../feedback/Said.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { ownDevice } from '../session/device.ts';
import { forgetPin, hasPin, pinProblem, setPin } from '../session/pins.ts';
import { useSession } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { siteZone, showMoment } from '../time/show.ts';
import { ProveAgain } from './ProveAgain.tsx';

/** Who I am here, what I prove it with, on what I write, and what is kept of me. */
export function MePage() {
  const { me, demo, signOut } = useSession();
  const { busy, run, say } = useAction();
  const leave = (everywhere: boolean) => void run(() => signOut(everywhere));
  return (
    <div className="stack-wide">
      <header className="stack">
        <h1>{me.person.name}</h1>
        <p>
          {roleNames[me.person.role]}: {roleDuties[me.person.role]}. {me.person.initials} on labels.
        </p>
      </header>
      <section className="panel stack">
        <h2>This device</h2>
        <ThisDevice />
        <PinOfMine />
      </section>
      {!demo && (
        <section className="panel stack">
          <h2>Passphrase and passkeys</h2>
          <div>
            <FormDialog open="Change the passphrase" title="Change the passphrase" size="large">
              {(close) => <ChangePassphrase close={close} />}
            </FormDialog>
          </div>
          <PasskeysOfMine />
        </section>
      )}
      <section className="panel stack">
        <h2>What is kept of me</h2>
        <p>
          My entry in the register, when I signed in and on what, and what I wrote. Secrets are kept as digests only. A coordinator can
          replace my name by initials once my access has ended; what I wrote stays, and its chain holds.
        </p>
        <p>
          <a href={addressOf(personKept, { in: { person: me.person.id } })} download="kept-of-me.json">
            Take all of it along
          </a>
        </p>
      </section>
      {!demo && (
        <div className="row">
          <Button size="large" loading={busy} onClick={() => leave(false)}>
            Sign out
          </Button>
          <Button size="large" loading={busy} onClick={() => leave(true)}>
            Sign out everywhere
          </Button>
        </div>
      )}
      <Said say={say} />
    </div>
  );
}

function ThisDevice() {
  const { me } = useSession();
  const [key, setKey] = useState<string | null>(null);
  useEffect(() => {
    void ownDevice().then((own) => setKey(own.key));
  }, []);
  return (
    <p>
      {me.device?.name ?? 'Not registered yet'}.{' '}
      {key && (
        <>
          It signs what I write with a key of its own, <code>{fingerprint(keyIdOf(key))}</code>.{' '}
        </>
      )}
      <Link to="/devices">All devices</Link>
    </p>
  );
}

/** A PIN on this device: set where I have just proven who I am. */
function PinOfMine() {
  const { me, demo } = useSession();
  const [has, setHas] = useState<boolean | null>(null);
  useEffect(() => {
    void hasPin(me.person.id)
      .then(setHas)
      .catch(() => setHas(false));
  }, [me.person.id]);
  if (demo || has === null) return null;
  return (
    <div className="row">
      <span>{has ? 'A PIN is set here: I go on with it when somebody else had the device.' : 'No PIN is set here.'}</span>
      <FormDialog open={has ? 'Another PIN' : 'Set a PIN'} title="PIN on this device">
        {(close) =>
          mustProve(me, now()) ? (
            <ProveAgain why="before you set a PIN" />
          ) : (
            <NewPin
              person={me.person.id}
              done={() => {
                setHas(true);
                close();
              }}
            />
          )
        }
      </FormDialog>
      {has && (
        <Button
          onClick={() => {
            void forgetPin(me.person.id).then(() => setHas(false));
          }}
        >
          Take it away
        </Button>
      )}
    </div>
  );
}

const Pin = z.object({
  pin: z
    .string()
    .superRefine((pin, issues) => {
      const message = pinProblem(pin);
      if (message) issues.addIssue({ code: 'custom', message });
    })
    .meta({ title: 'PIN' }),
});

function NewPin({ person, done }: { person: string; done: () => void }) {
  const form = useEntryForm({
    keep: 'pin',
    isSecret: true,
    initial: { pin: '' },
    schema: Pin,
    write: async ({ pin }) => {
      await setPin(person, pin);
      done();
    },
  });
  return (
    <EntryForm of={form} submit="Set it">
      <Field name="pin" hint="4 to 8 digits. It never leaves this device; five wrong ones lock it.">
        <Input.Password size="large" inputMode="numeric" autoComplete="off" maxLength={8} autoFocus />
      </Field>
    </EntryForm>
  );
}

/** What lets me in without a passphrase: made by this device or by a key that is plugged in. */
function PasskeysOfMine() {
  const { me } = useSession();
  const { data = [], mutate } = useAnswer(listPasskeys, {});
  const { busy, run, say } = useAction();
  if (!browserSupportsWebAuthn()) return null;
  const add = () =>
    void run(async () => {
      const asked = await call(askForPasskey, {});
      const response = await startRegistration({ optionsJSON: asked as never }).catch(() => {
        throw new Error('No passkey was made.');
      });
      await mutate(await call(addPasskey, { body: { response: response as never } }), { revalidate: false });
    });
  return (
    <div className="stack">
      {data.map(({ id, made }) => (
        <div key={id} className="row">
          <span>A passkey, made {showMoment(made, siteZone())}</span>
          <Button
            onClick={() => void run(async () => void (await mutate(await call(removePasskey, { body: { id } }), { revalidate: false })))}
          >
            Take it away
          </Button>
        </div>
      ))}
      {mustProve(me, now()) ? (
        <FormDialog open="Add a passkey" title="Add a passkey">
          {() => <ProveAgain why="before you add a passkey" />}
        </FormDialog>
      ) : (
        <div>
          <Button loading={busy} onClick={add}>
            Add a passkey
          </Button>
        </div>
      )}
      <Said say={say} />
    </div>
  );
}

function ChangePassphrase({ close }: { close: () => void }) {
  const { enter } = useSession();
  const form = useEntryForm({
    keep: 'change-passphrase',
    isSecret: true,
    initial: { before: '', passphrase: '' },
    schema: changePassphrase.body,
    write: async (said) => {
      await enter(await call(changePassphrase, { body: said }));
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Change it">
      <Field name="before" label="The one you have">
        <Input.Password size="large" autoComplete="current-password" autoFocus />
      </Field>
      <Field name="passphrase" label="The new one" hint="A few words in a row that nobody guesses. Every other device is signed out.">
        <Input.Password size="large" autoComplete="new-password" />
      </Field>
    </EntryForm>
  );
}

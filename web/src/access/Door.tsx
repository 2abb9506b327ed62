import { browserSupportsWebAuthn, startAuthentication } from '@simplewebauthn/browser';
import {
  askToSignIn,
  invitation,
  type Invitation,
  join,
  joinPath,
  Passphrase,
  setUp,
  SignIn,
  signIn,
  signInByPasskey,
  type Session,
} from '@fonte/core/access';
import { Device } from '@fonte/core/registers';
import { roleDuties, roleNames } from '@fonte/core/roles';
import { Button, Input } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import useSWR from 'swr';
import { z } from 'zod';
import { ApiProblem, call } from '../api/call.ts';
import { inOutbox, outboxRead } from '../book/outbox.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { knownProof, nameDevice, usualDeviceName } from '../session/device.ts';
import { ensureDevice } from '../session/open.ts';
import './access.css';

/** Whoever is let in goes on from there. */
type Enter = (told: Session) => Promise<void>;

const withDevice = { device: Device.shape.name };

/** What everybody who comes in does: this device has a name from now on, and shows the server its key. */
async function comeIn(told: Session, device: string, enter: Enter): Promise<void> {
  await nameDevice(device);
  await enter(await ensureDevice(told));
}

const deviceHint = 'It stands in the book beside what you write on it, such as “Yellow field phone”.';

/** The page of somebody who is not signed in. */
export function Door({ told, enter }: { told: Session; enter: Enter }) {
  const link = location.pathname === joinPath ? /^#([\w-]{20,100})$/.exec(location.hash)?.[1] : undefined;
  if (link) return <Join token={link} enter={enter} />;
  return told.isNew ? <SetUp enter={enter} /> : <ComeBack enter={enter} />;
}

function Frame({ title, children }: { title: string; children: ReactNode }) {
  useEffect(() => {
    document.title = `${title} · Fonte`;
  }, [title]);
  return (
    <main id="main" className="door stack-wide">
      <p className="door-name">
        <img src="/mark.svg" alt="" width={34} height={34} /> Fonte
      </p>
      <h1>{title}</h1>
      {children}
    </main>
  );
}

const secret = (name: 'current-password' | 'new-password') => <Input.Password size="large" autoComplete={name} />;

function ComeBack({ enter }: { enter: Enter }) {
  const form = useEntryForm({
    keep: 'sign-in',
    isSecret: true,
    initial: { name: '', passphrase: '', device: usualDeviceName() },
    schema: SignIn.extend(withDevice),
    write: async ({ device, ...said }) => {
      await comeIn(await call(signIn, { body: { ...said, known: await knownProof() } }), device, enter);
    },
  });
  return (
    <Frame title="Sign in">
      <Waiting />
      <EntryForm of={form} submit="Sign in">
        <Field name="name">
          <Input size="large" autoComplete="username" autoFocus />
        </Field>
        <Field name="passphrase">{secret('current-password')}</Field>
        <Field name="device" hint={deviceHint} />
      </EntryForm>
      <ByPasskey enter={enter} />
      <p className="soft small">Not registered yet, or forgotten? A coordinator gives you a link that lets you in once.</p>
    </Frame>
  );
}

/** By what the device itself knows its person by: a finger, a face, a key that is plugged in. */
function ByPasskey({ enter }: { enter: Enter }) {
  const { busy, run, say } = useAction();
  if (!browserSupportsWebAuthn()) return null;
  const come = () =>
    void run(async () => {
      const asked = await call(askToSignIn, {});
      const response = await startAuthentication({ optionsJSON: asked as never }).catch(() => {
        throw new Error('No passkey was given.');
      });
      await enter(await ensureDevice(await call(signInByPasskey, { body: { response: response as never } })));
    });
  return (
    <div className="stack">
      <div>
        <Button size="large" loading={busy} onClick={come}>
          Sign in with a passkey
        </Button>
      </div>
      <Said say={say} />
    </div>
  );
}

/** What was written here and nobody else has yet. */
function Waiting() {
  const [count, setCount] = useState(0);
  useEffect(() => {
    void outboxRead().then(() => setCount(inOutbox().length));
  }, []);
  if (count === 0) return null;
  return (
    <p className="finding question" role="status">
      {count === 1 ? '1 entry is' : `${count} entries are`} only on this device. Nothing is lost: {count === 1 ? 'it goes' : 'they go'} out
      as soon as somebody signs in.
    </p>
  );
}

function SetUp({ enter }: { enter: Enter }) {
  const form = useEntryForm({
    keep: 'set-up',
    isSecret: true,
    initial: { code: '', name: '', initials: '', passphrase: '', device: usualDeviceName() },
    schema: setUp.body.extend(withDevice),
    write: async ({ device, ...said }) => comeIn(await call(setUp, { body: said }), device, enter),
  });
  return (
    <Frame title="Set Fonte up">
      <p>Nobody is registered yet. Whoever comes in first is a coordinator, who lets the others in.</p>
      <EntryForm of={form} submit="Set it up">
        <Field name="code" hint="The server printed it on its console as it started." placeholder="XXXX-XXXX-XXXX" autoFocus />
        <div className="form-grid">
          <Field name="name">
            <Input size="large" autoComplete="name" />
          </Field>
          <Field name="initials" />
        </div>
        <Field name="passphrase" hint="A few words in a row that nobody guesses.">
          {secret('new-password')}
        </Field>
        <Field name="device" hint={deviceHint} />
      </EntryForm>
    </Frame>
  );
}

function Join({ token, enter }: { token: string; enter: Enter }) {
  const ask = () => call(invitation, { body: { token } });
  const { data, error, mutate } = useSWR<z.output<typeof Invitation>, unknown>(['invitation', token], ask, { revalidateOnFocus: false });
  const home = () => location.replace('/');
  if (error instanceof ApiProblem)
    return (
      <Frame title="This link does not work">
        <p>{error.title}</p>
        <div>
          <Button size="large" onClick={home}>
            To the first page
          </Button>
        </div>
      </Frame>
    );
  if (error) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the link" />;
  const done: Enter = async (told) => {
    history.replaceState(null, '', data.round ? `/rounds/${data.round}` : '/');
    await enter(told);
    location.reload();
  };
  return <JoinForm token={token} name={data.name} role={data.role} needsPassphrase={data.needsPassphrase} enter={done} />;
}

interface JoinProps {
  token: string;
  name: string;
  role: keyof typeof roleNames;
  needsPassphrase: boolean;
  enter: Enter;
}

function JoinForm({ token, name, role, needsPassphrase, enter }: JoinProps) {
  const schema = z.object({ ...(needsPassphrase ? { passphrase: Passphrase } : {}), ...withDevice });
  const form = useEntryForm<{ passphrase: string; device: string }, { passphrase?: string; device: string }>({
    keep: 'join',
    isSecret: true,
    initial: { passphrase: '', device: usualDeviceName() },
    schema: schema as z.ZodType<{ passphrase?: string; device: string }>,
    write: async ({ device, passphrase }) =>
      comeIn(await call(join, { body: passphrase ? { token, passphrase } : { token } }), device, enter),
  });
  return (
    <Frame title={`Welcome, ${name}`}>
      {role === 'householder' ? (
        <p>
          This link is yours alone and works once. You need no account. Open it while you have a signal; what you do afterwards needs none.
        </p>
      ) : (
        <p>
          You come in as <span className="strong">{roleNames[role].toLowerCase()}</span>: {roleDuties[role]}.
        </p>
      )}
      <EntryForm of={form} submit="Come in">
        {needsPassphrase && (
          <Field name="passphrase" hint="A few words in a row that nobody guesses. You type it with your name to sign in.">
            {secret('new-password')}
          </Field>
        )}
        {role !== 'householder' && <Field name="device" hint={deviceHint} />}
      </EntryForm>
    </Frame>
  );
}

import { mustProve, proofLasts } from '@fonte/core/access';
import { Button, Input } from 'antd';
import { useEffect, useState, type FormEvent, type ReactNode } from 'react';
import { useConnection } from '../api/connection.ts';
import { useAction } from '../feedback/useAction.ts';
import { Said } from '../feedback/Said.tsx';
import { checkPin, hasPin } from '../session/pins.ts';
import { useSession } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { useNow } from '../time/useNow.ts';
import { ProveAgain } from './ProveAgain.tsx';

/** When each person last proved who they are by PIN, on this device and without a signal (ms). */
const byPin = new Map<string, number>();

/**
 * What only somebody may do who has just proven who they are: by passphrase, and without a signal by PIN. Where there is neither
 * it is said, and goes on: a hand-over happens when it happens.
 */
export function Proven({ why, children }: { why: string; children: ReactNode }) {
  const [, redraw] = useState(0);
  const { me, demo } = useSession();
  const { isLost } = useConnection();
  const time = useNow(15_000);
  const [pin, setPin] = useState<boolean | null>(null);
  useEffect(() => {
    void hasPin(me.person.id)
      .then(setPin)
      .catch(() => setPin(false));
  }, [me.person.id]);
  const isProven = demo || !mustProve(me, time) || time - (byPin.get(me.person.id) ?? -Infinity) < proofLasts;
  if (isProven) return children;
  if (!isLost) return <ProveAgain why={why} />;
  if (pin === null) return null;
  if (pin) return <PinAgain person={me.person.id} name={me.person.name} why={why} done={() => redraw((count) => count + 1)} />;
  return (
    <>
      <p className="finding question">
        There is no signal to ask for your passphrase, and no PIN is set here: this is signed by this device alone.
      </p>
      {children}
    </>
  );
}

function PinAgain({ person, name, why, done }: { person: string; name: string; why: string; done: () => void }) {
  const [pin, setPin] = useState('');
  const [fault, setFault] = useState('');
  const { busy, run, say } = useAction();
  const check = (event: FormEvent) => {
    event.preventDefault();
    void run(async () => {
      const state = await checkPin(person, pin);
      setPin('');
      if (state === 'right') {
        byPin.set(person, now());
        done();
      } else
        setFault(state === 'wrong' ? 'That is not your PIN.' : 'Too many wrong ones: the PIN is locked until you sign in with a signal.');
    });
  };
  return (
    <form className="stack" onSubmit={check}>
      <label htmlFor="prove-pin" className="strong">
        {name}, type your PIN {why}: the last time was too long ago, and there is no signal.
      </label>
      <Input.Password
        id="prove-pin"
        size="large"
        inputMode="numeric"
        autoComplete="off"
        maxLength={8}
        value={pin}
        onChange={(event) => setPin(event.target.value.replace(/\D/g, ''))}
      />
      {fault && (
        <p className="field-error" role="alert">
          {fault}
        </p>
      )}
      <Said say={say} />
      <div>
        <Button type="primary" size="large" htmlType="submit" loading={busy} disabled={pin.length < 4}>
          Go on
        </Button>
      </div>
    </form>
  );
}

import { registerNames, type RegisterName } from '@fonte/core/registers';
import { Button } from 'antd';
import { useCallback, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';

import { useConnection } from '../api/connection.ts';
import { inOutbox, subscribe } from '../book/outbox.ts';
import { useAction } from '../feedback/useAction.ts';
import { Said } from '../feedback/Said.tsx';
import { ownDevice } from '../session/device.ts';
import { hasPin } from '../session/pins.ts';
import { useMe, useSession } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { siteZone, showMoment } from '../time/show.ts';
import { now } from '../time/clock.ts';
import { useNow } from '../time/useNow.ts';
import { isInstalled, storageRoom, type StorageRoom } from './device.ts';
import { makeReady, readyNote, type ReadyNote, type Step } from './fetch.ts';
import './ready.css';

const names: Record<RegisterName, [one: string, many: string]> = {
  points: ['point', 'points'],
  instruments: ['instrument', 'instruments'],
  lots: ['lot', 'lots'],
  boxes: ['box', 'boxes'],
  programmes: ['programme', 'programmes'],
  criteria: ['stability criterion', 'stability criteria'],
  limits: ['limit set', 'limit sets'],
  loggers: ['logger record', 'logger records'],
  reports: ['report brought', 'reports brought'],
  labs: ['lab', 'labs'],
  people: ['person', 'people'],
  devices: ['device', 'devices'],
};
const count = (n: number, [one, many]: readonly [string, string]) => `${n} ${n === 1 ? one : many}`;
const steps: Record<Step['name'], string> = {
  rounds: 'Fetching rounds',
  registers: 'Fetching registers',
  levels: 'Fetching levels',
  pictures: 'Fetching pictures',
};

/** What was fetched longer ago than this, in ms, may have changed: said before a person leaves. */
const stale = 12 * 3_600_000;
/** What was fetched longer ago than this, in ms, is fetched again when somebody asks whether all is there. */
const renewAfter = 30_000;
/** So much room, in bytes, a day with pictures takes at the most. */
const dayNeeds = 150 << 20;

interface Check {
  name: string;
  state: 'good' | 'missing' | 'advice';
  says: ReactNode;
}

/** What this device has of its own, looked up once and again after fetching. */
interface Own {
  note: ReadyNote | undefined;
  installed: boolean;
  room: StorageRoom;
  pin: boolean;
}

/** Before leaving: what is missing on this device for a day without signal, and one button that fetches it. */
export function ReadyPage() {
  const me = useMe();
  const { me: session, demo } = useSession();
  const { isLost, clock } = useConnection();
  const time = useNow(30_000);
  const kept = useSyncExternalStore(subscribe, inOutbox);
  const [own, setOwn] = useState<Own | null>(null);
  const [step, setStep] = useState<Step | null>(null);
  const [isKnown, setKnown] = useState(session.device !== null);
  const { busy, run, say } = useAction();
  const look = useCallback(async () => {
    const [note, installed, room, pin] = await Promise.all([
      readyNote().catch(() => undefined),
      isInstalled(),
      storageRoom(),
      hasPin(me.id).catch(() => false),
    ]);
    setOwn({ note, installed, room, pin });
  }, [me.id]);
  // What was fetched a while ago is not all there is: it is looked up again before anything is called ready.
  const [isLooking, setLooking] = useState(!isLost);
  useEffect(() => {
    if (!isLooking) return;
    const renew = async () => {
      const known = await readyNote().catch(() => undefined);
      if (known && now() - known.at > renewAfter) await makeReady(() => undefined);
    };
    void renew()
      .catch(() => undefined)
      .then(look)
      .finally(() => setLooking(false));
  }, [isLooking, look]);
  useEffect(() => {
    void look();
    void ownDevice().then(({ id }) => setKnown(session.device?.id === id));
  }, [look, session]);
  const fetchAll = () =>
    run(async () => {
      try {
        await isInstalled(true);
        await storageRoom(true);
        await makeReady(setStep);
      } finally {
        setStep(null);
        await look();
      }
    });
  if (!own) return <p className="waiting">Looking at this device …</p>;
  const { note, installed, room, pin } = own;
  const isOld = note !== undefined && time - note.at > stale;
  const fetched: Check['state'] = !note ? 'missing' : isOld || isLooking ? 'advice' : 'good';
  const asOf = note ? ` As of ${showMoment(note.at, siteZone())}${isLooking ? '; what is new is being fetched' : ''}.` : '';
  const waiting = kept.filter(({ state }) => state === 'waiting').length;
  const checks: Check[] = [
    {
      name: 'The application',
      state: installed ? 'good' : 'missing',
      says: installed
        ? 'lies on this device and opens without a signal.'
        : 'is not on this device yet: without a signal it would not open.',
    },
    {
      name: 'Rounds',
      state: fetched,
      says: note ? (
        <>
          {note.rounds.length === 0
            ? 'none is open.'
            : `${note.rounds.map(({ name, points }) => `${name} (${count(points, names.points)})`).join('; ')}.`}
          {asOf}
        </>
      ) : (
        'none of the open rounds is on this device.'
      ),
    },
    {
      name: 'Registers',
      state: fetched,
      says: note
        ? `${registerNames.map((register) => count(note.things[register], names[register])).join(', ')}.${asOf}`
        : 'are not on this device.',
    },
    {
      name: 'Levels and pictures',
      state: fetched,
      says: note
        ? `the record of ${count(note.levels, ['well', 'wells'])}, ${count(
            note.rounds.reduce((sum, { pictures }) => sum + pictures, 0),
            ['picture', 'pictures'],
          )}.`
        : 'are not on this device.',
    },
    {
      name: 'Signature',
      state: isKnown ? 'good' : 'missing',
      says: isKnown ? 'the server knows this device and the key that it signs with.' : 'the server does not know this device yet.',
    },
    {
      name: 'Room',
      state: room.free !== null && room.free < dayNeeds ? 'missing' : room.isPersistent ? 'good' : 'advice',
      says: `${room.free === null ? 'this browser does not say how much there is' : `${Math.floor(room.free / (1 << 20)).toLocaleString('en-GB')} MB free`}${
        room.isPersistent
          ? ', and the browser keeps what is here.'
          : '. The browser may clear it when the device runs full: do not leave entries here for weeks.'
      }`,
    },
    {
      name: 'Clock',
      state: !clock || (!demo && Math.abs(clock.ahead) > 90_000) ? 'missing' : 'good',
      says: !clock
        ? 'was not compared with the server’s yet.'
        : `${Math.abs(clock.ahead) < 1000 ? 'agrees with the server’s' : `is ${Math.round(Math.abs(clock.ahead) / 1000)} s ${clock.ahead > 0 ? 'ahead of' : 'behind'} the server’s`}.`,
    },
    {
      name: 'PIN',
      state: pin || demo ? 'good' : 'advice',
      says: pin
        ? 'is set: two people can share this device, and sign a hand-over without a signal.'
        : demo
          ? 'the demo’s people need none.'
          : 'is not set. Without it nobody else can hand this device back to you, nor can you prove yourself at a hand-over without a signal.',
    },
    {
      name: 'To be handed in',
      state: waiting === 0 ? 'good' : 'advice',
      says: waiting === 0 ? 'nothing is only on this device.' : `${count(waiting, ['entry is', 'entries are'])} only on this device.`,
    },
  ];
  const missing = checks.filter(({ state }) => state === 'missing').length;
  return (
    <div className="stack-wide ready">
      <header className="stack">
        <h1>{missing > 0 ? 'Not ready to go without signal' : isLooking ? 'Looking at what is new …' : 'Ready to go without signal'}</h1>
        <p>
          {missing === 0 && isLooking
            ? 'What lies on this device is compared with the server.'
            : missing === 0
              ? 'The whole day can be worked on this device with the signal gone. What you write goes out when it is back.'
              : `${missing === 1 ? 'One thing is' : `${missing} things are`} missing on this device.`}
        </p>
      </header>
      <div className="row">
        <Button
          type={missing === 0 ? 'default' : 'primary'}
          size="large"
          loading={busy}
          disabled={isLost && !busy}
          onClick={() => void fetchAll()}
        >
          {missing === 0 ? 'Fetch what is new' : 'Fetch what is missing'}
        </Button>
        {step && (
          <span role="status">
            {steps[step.name]}: {step.done} of {step.of}
          </span>
        )}
        {isLost && <span className="soft">There is no signal now: nothing can be fetched.</span>}
      </div>
      <Said say={say} />
      <ul className="plain ready-list">
        {checks.map(({ name, state, says }) => (
          <li key={name} className={`ready-${state}`}>
            <Mark kind={state === 'good' ? 'good' : state === 'missing' ? 'stop' : 'question'} />
            <span>
              <span className="strong">{name}:</span> {says}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

import { doorNews, type DoorNews } from '@fonte/core/access';
import { health, type Backup } from '@fonte/core/endpoints';
import { hour, showDuration } from '@fonte/core/time';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import type { z } from 'zod';
import { useAnswer } from '../api/useAnswer.ts';
import { note, noted } from '../disk/index.ts';
import { useSession } from '../session/session.ts';
import { Mark } from '../theme/Mark.tsx';
import { siteZone, showMoment } from '../time/show.ts';
import { useNow } from '../time/useNow.ts';

type News = z.output<typeof DoorNews>;

/** What a coordinator has to know of the house, and anybody of their own way in. Nothing where there is nothing. */
export function House() {
  const { me, demo } = useSession();
  return (
    <>
      <DoorTold />
      {me.person.role === 'coordinator' && !demo && <Backups />}
    </>
  );
}

function Backups() {
  const { data } = useAnswer(health, {}, { refreshInterval: 10 * 60_000 });
  const time = useNow(60_000);
  if (!data) return null;
  return (
    <section className="stack" aria-label="Backups">
      <h2>Backups</h2>
      <BackupLine backup={data.backup} time={time} />
    </section>
  );
}

function BackupLine({ backup, time }: { backup: Backup | null; time: number }) {
  if (!backup) return <p className="finding question">This server does not make backups. Ask its administrator to turn them on.</p>;
  const { last, failed, isLate } = backup;
  const age = last === null ? null : time - last;
  const made = age === null ? 'No backup yet' : `Last backup ${age < hour ? 'within the last hour' : `${showDuration(age)} ago`}, verified`;
  if (failed)
    return (
      <p className="finding stop" role="alert">
        <Mark kind="stop" />
        <span>
          The backup of {showMoment(failed.at, siteZone())} failed: {failed.why} {made}.
        </span>
      </p>
    );
  if (isLate)
    return (
      <p className="finding stop" role="alert">
        <Mark kind="stop" />
        <span>{made}. Backups are due daily: tell the server’s administrator.</span>
      </p>
    );
  return <p className="soft">{age === null ? 'No backup yet. The first is made a few minutes after the server’s start.' : `${made}.`}</p>;
}

const seenUnder = 'door-news';

/** Links that let somebody in, told to that person and to coordinators: whoever holds one can come in as them. */
function DoorTold() {
  const { people, me } = useSession();
  const { data } = useAnswer(doorNews, {}, { refreshInterval: 10 * 60_000 });
  const [seen, setSeen] = useState<number | null>(null);
  const under = `${seenUnder}.${me.person.id}`;
  useEffect(() => {
    void noted<number>(under).then(
      (at) => setSeen(at ?? 0),
      () => setSeen(0),
    );
  }, [under]);
  if (!data || seen === null) return null;
  const fresh = data.filter(({ at }) => at > seen);
  if (fresh.length === 0) return null;
  const nameOf = (id: string | null) => people.find((person) => person.id === id)?.name ?? 'Somebody';
  const say = ({ event, person, by }: News): string => {
    const whom = person === me.person.id ? 'you' : nameOf(person);
    if (event === 'joined') return person === me.person.id ? 'You signed in with a link' : `${whom} signed in with a link`;
    if (event === 'passkey-added') return `A passkey for ${whom} was added`;
    return by === null
      ? `A sign-in link for ${whom} was created on the server console`
      : `${nameOf(by)} created a sign-in link for ${whom}`;
  };
  const close = () => {
    const at = Math.max(...fresh.map((one) => one.at));
    setSeen(at);
    void note(under, at).catch(() => undefined);
  };
  return (
    <section className="stack" aria-label="Account activity">
      <h2>Account activity</h2>
      <ul className="plain stack">
        {fresh.map((one) => (
          <li key={one.id}>
            {say(one)}, {showMoment(one.at, siteZone())}.
          </li>
        ))}
      </ul>
      <p className="soft small">If you did not expect this, tell a coordinator at once and change your passphrase.</p>
      <div>
        <Button onClick={close}>Dismiss</Button>
      </div>
    </section>
  );
}

import { endAccess, invite, linkTo, makeUnreadable, mustProve, personKept, type Account } from '@fonte/core/access';
import { addressOf } from '@fonte/core/endpoints';
import type { Person } from '@fonte/core/registers';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { useSWRConfig } from 'swr';
import { call } from '../api/call.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { useSession } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { siteZone, showMoment } from '../time/show.ts';
import { ProveAgain } from './ProveAgain.tsx';

const states: Record<Account['state'], string> = {
  none: 'Not let in',
  invited: 'Has a link',
  open: 'Let in',
  ended: 'Access ended',
};

export const sayAccount = ({ state, seen }: Account): string =>
  seen === null || state !== 'open' ? states[state] : `${states[state]}, last here ${showMoment(seen, siteZone())}`;

/** What a coordinator does about a person's access. */
export function PersonAccess({ person, account }: { person: Person; account: Account }) {
  const { me } = useSession();
  const { mutate } = useSWRConfig();
  const refresh = async () => {
    await mutate((key) => typeof key === 'string' && /\/api\/(accounts|people)/.test(key));
  };
  return (
    <div className="row">
      {account.state !== 'ended' && person.role !== 'householder' && (
        <FormDialog
          open={account.state === 'open' ? 'New passphrase' : 'Invite'}
          title={`A link for ${person.name}`}
          aria-label={`${account.state === 'open' ? 'New passphrase' : 'Invite'}: ${person.name}`}
        >
          {() => (mustProve(me, now()) ? <ProveAgain why="before you let somebody in" /> : <Invite person={person} done={refresh} />)}
        </FormDialog>
      )}
      {account.state !== 'ended' && person.role === 'householder' && <span className="small soft">Its link is made with its kit</span>}
      {account.state !== 'ended' && person.id !== me.person.id && (
        <FormDialog open="End access" title={`End the access of ${person.name}`} aria-label={`End access: ${person.name}`}>
          {(close) =>
            mustProve(me, now()) ? (
              <ProveAgain why="before you end an access" />
            ) : (
              <End person={person} done={() => void refresh().then(close)} />
            )
          }
        </FormDialog>
      )}
      {account.state === 'ended' && person.name !== person.initials && (
        <FormDialog
          open="Make unreadable"
          title={`Put initials in the place of ${person.name}`}
          aria-label={`Make unreadable: ${person.name}`}
        >
          {(close) =>
            mustProve(me, now()) ? (
              <ProveAgain why="before you take a name away" />
            ) : (
              <Unreadable person={person} done={() => void refresh().then(close)} />
            )
          }
        </FormDialog>
      )}
      <a className="small" href={addressOf(personKept, { in: { person: person.id } })} download>
        What is kept
      </a>
    </div>
  );
}

function Invite({ person, done }: { person: Person; done: () => Promise<void> }) {
  const [link, setLink] = useState<{ address: string; until: number } | null>(null);
  const { busy, run, say } = useAction();
  const make = () =>
    void run(async () => {
      const { token, until } = await call(invite, { in: { person: person.id }, body: {} });
      setLink({ address: linkTo(location.origin, token), until });
      await done();
    });
  if (link)
    return (
      <div className="stack">
        <p>
          Give this link to {person.name}, and to nobody else. It lets in once, until {showMoment(link.until, siteZone())}, and is not shown
          again.
        </p>
        <Input.TextArea aria-label="Link" readOnly autoSize value={link.address} onFocus={(event) => event.target.select()} />
        <div>
          <Button onClick={() => void navigator.clipboard.writeText(link.address)}>Copy it</Button>
        </div>
      </div>
    );
  return (
    <div className="stack">
      <p>With the link they choose a passphrase of their own. An earlier link is worth nothing any more.</p>
      <Said say={say} />
      <div>
        <Button type="primary" size="large" loading={busy} onClick={make}>
          Make the link
        </Button>
      </div>
    </div>
  );
}

function End({ person, done }: { person: Person; done: () => void }) {
  const form = useEntryForm({
    keep: `end.${person.id}`,
    initial: { reason: '' },
    schema: endAccess.body,
    write: async (said) => {
      await call(endAccess, { in: { person: person.id }, body: said });
      done();
    },
  });
  return (
    <EntryForm of={form} submit="End it" tone="danger">
      <p>
        Signed out everywhere at once. What was written before stays; what comes later stands set aside until somebody says that it holds.
      </p>
      <Field name="reason" autoFocus />
    </EntryForm>
  );
}

function Unreadable({ person, done }: { person: Person; done: () => void }) {
  const form = useEntryForm({
    keep: `unreadable.${person.id}`,
    initial: { initials: person.initials },
    schema: makeUnreadable.body,
    write: async (said) => {
      await call(makeUnreadable, { in: { person: person.id }, body: said });
      done();
    },
  });
  return (
    <EntryForm of={form} submit="Take the name away for good" tone="danger">
      <p>
        The name goes from the register and from hand-overs, and nobody can bring it back. What {person.name} wrote stays, under the
        initials; the chains hold. Books that were handed out before keep the name.
      </p>
      <Field name="initials" />
    </EntryForm>
  );
}

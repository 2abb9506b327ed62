import { renameDevice, revokeDevice } from '@fonte/core/access';
import { fingerprint, keyIdOf } from '@fonte/core/book';
import { registerLists, type Device } from '@fonte/core/registers';
import { useEffect, useState } from 'react';
import { useSWRConfig } from 'swr';
import { call } from '../api/call.ts';
import { useAnswer } from '../api/useAnswer.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Failed, Loading } from '../feedback/Feedback.tsx';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { RegisterHead } from '../registers/index.ts';
import { nameDevice, ownDevice } from '../session/device.ts';
import { useSession } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { MomentInput } from '../time/MomentInput.tsx';
import { siteZone, showMoment } from '../time/show.ts';

/** The devices that entries are written on: by what key they sign, who was signed in on them, and which are lost. */
export function DevicesPage() {
  const { me, people } = useSession();
  const [own, setOwn] = useState<string | null>(null);
  useEffect(() => {
    void ownDevice().then(({ id }) => setOwn(id));
  }, []);
  const { data, error, mutate } = useAnswer(registerLists.devices, { query: { limit: 500 } });
  if (error && !data) return <Failed error={error} retry={() => void mutate()} />;
  if (!data) return <Loading what="the register" />;
  const isMine = (device: Device) => me.person.role === 'coordinator' || device.people.some(({ person }) => person === me.person.id);
  const mayRevoke = (device: Device) => !device.revoked && isMine(device);
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? 'unknown';
  return (
    <>
      <RegisterHead register="devices" />
      <p className="soft">
        Each signs what is written on it with a key that cannot be taken out of it. The key’s first digits stand here to be compared.
      </p>
      <DataTable<Device>
        label="Devices"
        rows={data}
        rowKey={({ id }) => id}
        columns={[
          {
            title: 'Device',
            render: (device) => (
              <>
                <span className="strong">{device.name}</span>
                {device.id === own && <span className="soft"> (this one)</span>}{' '}
                {isMine(device) && (
                  <FormDialog type="text" size="small" open="Rename" title={`Rename ${device.name}`} aria-label={`Rename: ${device.name}`}>
                    {(close) => <Rename device={device} isOwn={device.id === own} done={close} />}
                  </FormDialog>
                )}
              </>
            ),
          },
          { title: 'Signs by', render: ({ key }) => <code>{fingerprint(keyIdOf(key))}</code> },
          {
            title: 'Signed in on it',
            render: ({ people: on }) =>
              on.map(({ person, since }) => `${nameOf(person)} since ${showMoment(Date.parse(since), siteZone())}`).join('; '),
          },
          {
            title: 'State',
            render: (device) =>
              device.revoked ? (
                `Lost since ${showMoment(Date.parse(device.revoked.at), siteZone())}: ${device.revoked.reason}`
              ) : mayRevoke(device) ? (
                <FormDialog open="Report it lost" title={`${device.name} is lost`} aria-label={`Report it lost: ${device.name}`}>
                  {(close) => <Revoke device={device} done={close} />}
                </FormDialog>
              ) : (
                'In use'
              ),
          },
        ]}
      />
    </>
  );
}

/** Two phones of one make are told apart by what their owner calls them. */
function Rename({ device, isOwn, done }: { device: Device; isOwn: boolean; done: () => void }) {
  const { mutate } = useSWRConfig();
  const form = useEntryForm({
    keep: `rename.${device.id}`,
    initial: { name: device.name },
    schema: renameDevice.body,
    write: async (said) => {
      await call(renameDevice, { in: { device: device.id }, body: said });
      if (isOwn) await nameDevice(said.name);
      await mutate((key) => typeof key === 'string' && key.includes('/api/devices'));
      done();
    },
  });
  return (
    <EntryForm of={form} submit="Call it so" leave={{ says: 'Leave it', by: done }}>
      <Field name="name" autoFocus />
    </EntryForm>
  );
}

function Revoke({ device, done }: { device: Device; done: () => void }) {
  const { mutate } = useSWRConfig();
  const form = useEntryForm({
    keep: `revoke.${device.id}`,
    initial: { at: now(), reason: '' },
    schema: revokeDevice.body,
    read: ({ at, reason }) => ({ value: { at: new Date(at).toISOString(), reason }, problems: [] }),
    write: async (said) => {
      await call(revokeDevice, { in: { device: device.id }, body: said });
      await mutate((key) => typeof key === 'string' && key.includes('/api/devices'));
      done();
    },
  });
  return (
    <EntryForm of={form} submit="It is lost" tone="danger">
      <p>Whoever is signed in on it is signed out. What it sends from now on stands set aside until somebody says that it holds.</p>
      <Field name="at" label="Since when">
        <MomentInput zone={siteZone()} />
      </Field>
      <Field name="reason" autoFocus />
    </EntryForm>
  );
}

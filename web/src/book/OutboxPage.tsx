import { titleOf, kindOf, belongsIn, sayEntry } from '@fonte/core/round';
import { millis } from '@fonte/core/time';
import type { Entry } from '@fonte/core/book';
import { Button, Upload } from 'antd';
import { z } from 'zod';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { useConnection } from '../api/connection.ts';
import type { Kept } from '../disk/index.ts';
import { DataTable } from '../feedback/DataTable.tsx';
import { Loading } from '../feedback/Feedback.tsx';
import { Said } from '../feedback/Said.tsx';
import { save } from '../feedback/save.ts';
import { useAction } from '../feedback/useAction.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field } from '../form/Field.tsx';
import { FormDialog } from '../form/FormDialog.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { useMe, useSession } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { Mark } from '../theme/Mark.tsx';
import { siteZone, showMoment } from '../time/show.ts';
import { inOutbox, isOutboxRead, outboxRead, replace, subscribe, tryAgain } from './outbox.ts';
import { makeParcel, takeParcel } from './parcel.ts';
import { penned } from './pen.ts';
import { sendDue } from './send.ts';

/** What a refused entry says of its fate: every reason of the server, in its words. */
const reasonOf = ({ problem }: Kept): string =>
  problem
    ? [problem.title, ...problem.errors.map(({ message }) => message)].filter((text, at, all) => all.indexOf(text) === at).join(' ')
    : '';

/** All that only this device has: what waits, what was refused and why, and how it leaves without a signal. */
export function OutboxPage() {
  useEffect(() => void outboxRead(), []);
  return useSyncExternalStore(subscribe, isOutboxRead) ? <Outbox /> : <Loading what="what lies on this device" />;
}

function Outbox() {
  const everything = useSyncExternalStore(subscribe, inOutbox);
  const kept = everything.filter(({ state }) => state !== 'replaced');
  const replaced = everything.length - kept.length;
  const { people } = useSession();
  const { isLost } = useConnection();
  const { busy, run, say } = useAction();
  const giving = useAction();
  const [told, setTold] = useState('');
  const refused = kept.filter(({ state }) => state === 'refused');
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? 'a colleague';
  const give = () =>
    void giving.run(async () => {
      const file = await makeParcel();
      const { canShare } = navigator as Partial<Pick<Navigator, 'canShare'>>;
      if (canShare?.call(navigator, { files: [file] })) return navigator.share({ files: [file], title: file.name });
      save(file, file.name);
    });
  const take = (file: File) =>
    void giving.run(async () => {
      const count = await takeParcel(await file.text());
      setTold(count === 1 ? '1 entry was taken in.' : `${count} entries were taken in.`);
      void sendDue(true);
    });
  return (
    <div className="stack-wide">
      <header className="stack">
        <h1>
          {kept.length === 0
            ? 'Nothing is only on this device'
            : `${kept.length === 1 ? '1 entry is' : `${kept.length} entries are`} only on this device`}
        </h1>
        <p className="soft">
          What you write lies on this device until the server has it. It is sent by itself, in the order written; nothing is ever dropped.
        </p>
      </header>
      <div className="row">
        {kept.length > 0 && (
          <Button
            type="primary"
            size="large"
            loading={busy}
            disabled={isLost && !busy}
            onClick={() =>
              void run(async () => {
                await tryAgain();
                await sendDue(true);
              })
            }
          >
            Send now
          </Button>
        )}
        {kept.length > 0 && (
          <Button size="large" loading={giving.busy} onClick={give}>
            Give it to a colleague as a file
          </Button>
        )}
        <Upload
          accept=".json,application/json"
          showUploadList={false}
          beforeUpload={(file) => {
            take(file);
            return false;
          }}
        >
          <Button size="large">Take a colleague’s file in</Button>
        </Upload>
      </div>
      <Said say={say ?? giving.say} />
      {told && <p role="status">{told}</p>}
      {replaced > 0 && (
        <p className="soft small">
          {replaced === 1 ? '1 refused entry' : `${replaced} refused entries`} gave way to another under a free code, and{' '}
          {replaced === 1 ? 'goes' : 'go'} along with the file.
        </p>
      )}
      {refused.length > 0 && (
        <p className="finding stop">
          <Mark kind="stop" />
          <span>
            {refused.length === 1 ? 'One was' : `${refused.length} were`} refused by the server. They stay here with the reason, and are
            tried again whenever the page is opened. As a file they can be kept or shown to a coordinator.
          </span>
        </p>
      )}
      {kept.length > 0 && (
        <DataTable<Kept>
          label="Only on this device"
          rows={kept}
          rowKey={({ id }) => id}
          columns={[
            { title: 'Written', isShort: true, render: ({ entry }) => showMoment(millis(entry.at), siteZone()) },
            {
              title: 'Entry',
              render: ({ entry }) => (
                <>
                  <span className="strong">{titleOf(entry)}</span> {sayEntry(entry)}
                </>
              ),
            },
            { title: 'By', render: ({ entry }) => nameOf(entry.author) },
            {
              title: 'Of',
              render: ({ entry }) => (belongsIn(entry.kind, 'round') ? 'a round' : kindOf(entry.kind) ? 'the register' : ''),
            },
            {
              title: 'State',
              render: (one) => (
                <span className={one.state === 'refused' ? 'tone-stop' : ''}>
                  {one.state === 'refused' ? (
                    <>
                      <Mark kind="stop" size={15} /> Refused: {reasonOf(one)}
                    </>
                  ) : (
                    `Waits since ${showMoment(one.at, siteZone())}`
                  )}{' '}
                  <OtherCode of={one} />
                </span>
              ),
            },
          ]}
        />
      )}
    </div>
  );
}

/** Somebody took the code meanwhile: the same is written under another one. It stays while the entry is tried again, with what is typed in it. */
function OtherCode({ of: { id, entry, problem } }: { of: Kept }) {
  const me = useMe();
  const kind = kindOf(entry.kind);
  if (!kind || !problem?.errors.some(({ path }) => path === 'payload.code')) return null;
  return (
    <FormDialog open="Give it another code" title="Another code" by={kind.by}>
      {(close) => (
        <NewCode
          entry={entry}
          close={close}
          write={async (payload) => {
            const writing = { book: entry.book, author: me.id, moment: now(), visit: entry.visit };
            await replace(id, await penned(kind as never, payload as never, writing));
            await tryAgain();
            void sendDue(true);
          }}
        />
      )}
    </FormDialog>
  );
}

function NewCode({ entry, close, write }: { entry: Entry; close: () => void; write: (payload: object) => Promise<void> }) {
  const { code } = entry.payload as { code: string };
  const form = useEntryForm<{ code: string }, { code: string }>({
    keep: `code.${entry.id}`,
    initial: { code },
    schema: z.object({
      code: z
        .string()
        .trim()
        .regex(/^[A-Z0-9]{2,10}$/, { error: '2 to 10 capital letters or digits.' })
        .meta({ title: 'Code' }),
    }),
    check: (said) => (said.code === code ? [{ path: 'code', message: 'That is the one that is taken.' }] : []),
    write: async (said, { kept }) => {
      await write({ ...(entry.payload as object), ...said });
      kept();
      close();
    },
  });
  return (
    <EntryForm of={form} submit="Write it with this code">
      <p>Labels that are written already keep the old one. Say so on the form.</p>
      <Field name="code" normalize={(text) => text.toUpperCase()} autoFocus />
    </EntryForm>
  );
}

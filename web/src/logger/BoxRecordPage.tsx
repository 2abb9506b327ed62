import { boxRecorded } from '@fonte/core/custody';
import { keepLoggerFile, tryBoxRecord, writeBoxRecord } from '@fonte/core/logger';
import { bottlesIn, boxName, recordFindings, timeOfBox } from '@fonte/core/round';
import { readOutBox, seedOf } from '@fonte/core/simulation';
import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { z } from 'zod';
import { call } from '../api/call.ts';
import { send } from '../book/send.ts';
import { useRound } from '../book/useRound.ts';
import { BoxCourse } from '../custody/index.ts';
import { Empty } from '../feedback/Feedback.tsx';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { EntryForm } from '../form/EntryForm.tsx';
import { Field, NoControl } from '../form/Field.tsx';
import { useEntryForm } from '../form/useEntryForm.ts';
import { inBase } from '../form/values.ts';
import { useSession } from '../session/session.ts';
import { now } from '../time/clock.ts';
import { draftOfFile, fileOf, type FileDraft } from './draft.ts';
import { FileFields } from './FileFields.tsx';
import { Unread } from './Unread.tsx';
import { useTried } from './useTried.ts';

const schema = boxRecorded.payload.pick({ box: true, recording: true });
type Asked = z.infer<typeof schema>;
const keyOf = ({ recording }: Asked) => JSON.stringify(recording);

/** A logger's file of the box that is named in the address. */
export function BoxRecordPage() {
  const { round } = useRound();
  const [search] = useSearchParams();
  const box = search.get('box') ?? '';
  const name = boxName(round, box);
  if (name === null || bottlesIn(round, box).length === 0)
    return (
      <Empty title="No bottle was filled for this box yet">
        <p>What a logger recorded is held against the bottles that rode in it.</p>
      </Empty>
    );
  return <BoxRecordForm key={box} box={{ box, name }} />;
}

function BoxRecordForm({ box }: { box: Asked['box'] }) {
  const { id: book, round, refresh } = useRound();
  const navigate = useNavigate();
  const [asked, setAsked] = useState<Asked | null>(null);
  const ask = async (body: Asked) => {
    // The server holds it against the bottles that it knows of.
    await send(book);
    return call(tryBoxRecord, { in: { round: book }, body });
  };
  const { tried, say, field } = useTried(asked, keyOf, ask);
  const record = tried && { box, course: tried.answer.course, gaps: tried.answer.gaps };
  // The box is no field: the one that nobody named has no id, and an empty text of a field is left out.
  const read = ({ recording }: { recording: FileDraft | null }) => {
    const { value, problems } = inBase({ recording: fileOf(recording) });
    return { value: { ...(value as object), box }, problems };
  };
  const form = useEntryForm<{ recording: FileDraft | null }, Asked>({
    keep: `box-record.${book}.${box.box}`,
    initial: { recording: null },
    schema,
    read,
    check: (payload) => {
      if (tried?.key !== keyOf(payload))
        return [{ path: field ?? 'recording', message: say ?? 'It is being read: once more in a moment.' }];
      return recordFindings(round, record!, now())
        .filter(({ severity }) => severity === 'stop')
        .map(() => ({ path: 'recording', message: 'See below what stops it.' }));
    },
    ask: () => (record ? recordFindings(round, record, now()).filter(({ severity }) => severity === 'question') : []),
    write: async (payload, { id, kept }) => {
      await call(writeBoxRecord, { in: { round: book }, body: { ...payload, id } });
      kept();
      await refresh();
      void navigate(`/rounds/${book}/custody`);
    },
  });
  const { recording } = form.values;
  const { value, problems } = read(form.values);
  const parsed = schema.safeParse(value);
  const ready = problems.length === 0 && parsed.success ? parsed.data : null;
  const key = ready && keyOf(ready);
  useEffect(() => setAsked(ready), [key]); // eslint-disable-line react-hooks/exhaustive-deps
  const set = (draft: FileDraft) => form.set({ recording: draft });
  return (
    <>
      <h1>What a logger recorded in {box.name}</h1>
      <EntryForm of={form} submit="Write it down" enter="nothing">
        <ReadOut box={box} take={set} />
        <FileFields of="recording" as="cold" draft={recording} set={set} />
        {!recording && (
          <Field name="recording" isBare>
            <NoControl />
          </Field>
        )}
        <Said say={say} />
        {ready && !tried && !say && <p role="status">The record is being read.</p>}
        {record && (
          <>
            <BoxCourse record={record} now={now()} />
            <Unread of="The file" {...tried.answer.read} />
            {tried.answer.outside > 0 && (
              <p className="small">
                {tried.answer.outside.toLocaleString('en')} of them lie before the bottles were filled or after they were handed over, and
                are left out.
              </p>
            )}
          </>
        )}
      </EntryForm>
    </>
  );
}

/** Reads a simulated logger out; only the demo has any. */
function ReadOut({ box, take }: { box: Asked['box']; take: (draft: FileDraft) => void }) {
  const { id, round } = useRound();
  const { demo } = useSession();
  const { busy, run, say } = useAction();
  const time = timeOfBox(round, box.box, now());
  if (!demo || !time) return null;
  const read = () =>
    run(async () => {
      const opened = bottlesIn(round, box.box).map(({ filledAt }) => filledAt!);
      const text = readOutBox({ from: time.from, to: Math.min(time.to, now()), opened, seed: seedOf(id + box.box) });
      take(draftOfFile(`${box.name}.csv`, await call(keepLoggerFile, { body: new Blob([text]) }), 'cold'));
    });
  return (
    <section className="devices row" aria-label="Simulated logger">
      <span className="small soft">A simulated logger rode in {box.name}:</span>
      <Button size="small" loading={busy} onClick={() => void read()}>
        Read it out
      </Button>
      <Said say={say} />
    </section>
  );
}

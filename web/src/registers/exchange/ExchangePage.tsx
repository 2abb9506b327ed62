import { isWritable, sayCell, sayFile, type NamedColumn, type PreviewRow, type ReadFile, type SaidColumns } from '@fonte/core/exchange';
import { sayAbout } from '@fonte/core/round';
import { InboxOutlined } from '@ant-design/icons';
import { Button, Checkbox, Progress, Segmented, Select, Table, Upload } from 'antd';
import { wrap, type Remote } from 'comlink';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useSWRConfig } from 'swr';
import { Said } from '../../feedback/Said.tsx';
import { save } from '../../feedback/save.ts';
import { useAction } from '../../feedback/useAction.ts';
import { useMe } from '../../session/session.ts';
import { Mark, type MarkKind } from '../../theme/Mark.tsx';
import { RegisterHead, useMayRegister } from '../RegisterNav.tsx';
import { columnChoices, rememberColumn, rememberedColumns } from './saidColumns.ts';
import { allPoints, freshIds, writePoints, type NotTaken } from './points.ts';
import type { Exchange } from './exchange.worker.ts';
import './exchange.css';

let remote: Remote<Exchange> | null = null;

/** The worker, begun when it is first asked. */
function worker(): Remote<Exchange> {
  remote ??= wrap<Exchange>(new Worker(new URL('./exchange.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

/** A file larger than this is no table of points. */
const largestFile = 40 << 20;

interface Preview {
  name: string;
  text: string;
  rows: PreviewRow[];
  unknown: string[];
  said: ReadFile['said'];
  fault: ReadFile['fault'];
}

type Shown = PreviewRow['state'] | 'asked';

const states: Record<Shown, [word: string, mark: MarkKind]> = {
  new: ['New', 'good'],
  changed: ['Changed', 'good'],
  asked: ['Asked about', 'question'],
  fault: ['Left out', 'stop'],
  same: ['The same', 'note'],
};

const shownAs = ({ state, asked }: PreviewRow): Shown => (asked.length > 0 && state !== 'fault' && state !== 'same' ? 'asked' : state);

function byState(rows: readonly PreviewRow[]): Map<Shown, PreviewRow[]> {
  const found = new Map<Shown, PreviewRow[]>();
  for (const row of rows) {
    const own = found.get(shownAs(row));
    if (own) own.push(row);
    else found.set(shownAs(row), [row]);
  }
  return found;
}

/** The register of points as a file, and a file as points: row by row before anything is written. */
export function ExchangePage() {
  const { busy, run, say } = useAction();
  const [preview, setPreview] = useState<Preview | null>(null);
  const may = useMayRegister('points');
  const read = async (name: string, text: string, said: SaidColumns) => {
    const points = await allPoints();
    const count = await worker().count(text, said);
    setPreview({ name, text, ...(await worker().preview(text, points, freshIds(count), said)) });
  };
  const take = async (file: File) => {
    if (file.size > largestFile) throw new Error('This file is too large: a table of points has at most 40 MB.');
    await read(file.name, await file.text(), rememberedColumns());
  };
  const give = (as: 'csv' | 'geojson') =>
    run(async () => save(await worker().write(await allPoints(), as), `points.${as}`, as === 'csv' ? 'text/csv' : 'application/geo+json'));
  return (
    <>
      <RegisterHead register="points">
        <p>
          <Link to="/points">Back to the points</Link>
        </p>
      </RegisterHead>
      <section className="stack">
        <h2>Take them out</h2>
        <div className="row">
          <Button size="large" loading={busy} onClick={() => void give('csv')}>
            As a table (CSV)
          </Button>
          <Button size="large" loading={busy} onClick={() => void give('geojson')}>
            For a map (GeoJSON)
          </Button>
        </div>
      </section>
      {may && (
        <section className="stack">
          <h2>Bring them in</h2>
          <p className="soft">
            A table with a column “code”, or GeoJSON; the columns are those that are taken out. An empty cell leaves what is registered as
            it is. Nothing is written before you have seen it.
          </p>
          <Upload.Dragger
            accept=".csv,.txt,.tsv,.geojson,.json"
            maxCount={1}
            showUploadList={false}
            disabled={busy}
            beforeUpload={(file: File) => {
              void run(() => take(file));
              return false;
            }}
          >
            <p>
              <InboxOutlined aria-hidden="true" /> Choose a file, or drop it here
            </p>
          </Upload.Dragger>
          <Said say={say} />
          {preview && preview.unknown.length + preview.said.length > 0 && (
            <Unknown
              heads={[...preview.said.map(({ head }) => head), ...preview.unknown]}
              said={preview.said}
              say={(head, column) => void run(() => read(preview.name, preview.text, rememberColumn(head, column)))}
            />
          )}
          {preview && <Rows key={preview.name + preview.rows.length} preview={preview} close={() => setPreview(null)} />}
        </section>
      )}
    </>
  );
}

/** Columns of a file that have another name than ours: what each of them is, is said once and remembered on this device. */
interface UnknownProps {
  heads: readonly string[];
  said: ReadFile['said'];
  say: (head: string, column: NamedColumn | null) => void;
}
function Unknown({ heads, said, say }: UnknownProps) {
  const chosen = (head: string) => {
    const column = said.find((one) => one.head === head)?.column;
    return column && columnChoices.find((one) => one.column.name === column.name && one.column.unit === column.unit)?.value;
  };
  return (
    <section className="stack" aria-label="Columns with names of their own">
      <p className="finding note small">
        <Mark kind="note" />
        <span>These columns have names of their own. Choose what they are if they belong to a point; this device remembers it.</span>
      </p>
      <div className="form-grid">
        {heads.slice(0, 40).map((head) => (
          <label key={head}>
            {head}
            <Select
              size="large"
              aria-label={`Column ${head}`}
              placeholder="Not read"
              allowClear
              value={chosen(head) ?? null}
              showSearch={{ optionFilterProp: 'label' }}
              style={{ width: '100%' }}
              options={columnChoices.map(({ value, label }) => ({ value, label }))}
              onChange={(value: string | null) => say(head, columnChoices.find((one) => one.value === value)?.column ?? null)}
            />
          </label>
        ))}
      </div>
    </section>
  );
}

function Rows({ preview: { name, rows, fault }, close }: { preview: Preview; close: () => void }) {
  const me = useMe();
  const { mutate } = useSWRConfig();
  const { busy, run, say } = useAction();
  const [isConfirmed, setConfirmed] = useState(false);
  const [shown, setShown] = useState<Shown | 'all'>('all');
  const [done, setDone] = useState<number | null>(null);
  const [refused, setRefused] = useState<NotTaken[] | null>(null);
  const counts = useMemo(() => byState(rows), [rows]);
  const writable = useMemo(() => rows.filter((row) => isWritable(row, isConfirmed)), [rows, isConfirmed]);
  const listed = shown === 'all' ? rows : (counts.get(shown) ?? []);
  if (fault)
    return (
      <p className="problem" role="alert">
        {name}: {sayFile(fault)}
      </p>
    );
  const write = async () => {
    const left = await writePoints(
      writable.map(({ point }) => point!),
      me.id,
      setDone,
    );
    setRefused(left);
    await mutate((key) => typeof key === 'string' && /\/api\/(points|places)/.test(key));
  };
  if (refused)
    return (
      <div className="stack">
        <p className="word tone-good" role="status">
          <Mark kind="good" />
          {writable.length - refused.length} of {rows.length} rows were written down
        </p>
        {refused.length > 0 && (
          <ul className="small">
            {refused.map(({ point, why }) => (
              <li key={point.id}>
                {point.code}: {why}
              </li>
            ))}
          </ul>
        )}
        <div className="row">
          <Link to="/points">To the points</Link>
          <Button onClick={close}>Another file</Button>
        </div>
      </div>
    );
  const asked = counts.get('asked')?.length ?? 0;
  return (
    <div className="stack">
      <h3>{name}</h3>
      <Segmented
        aria-label="Which rows"
        value={shown}
        onChange={setShown}
        options={[
          { value: 'all' as const, label: `All ${rows.length}` },
          ...(Object.keys(states) as Shown[])
            .filter((state) => counts.has(state))
            .map((state) => ({ value: state, label: `${states[state][0]} ${counts.get(state)!.length}` })),
        ]}
      />
      <Table<PreviewRow>
        className="exchange"
        virtual
        size="small"
        scroll={{ y: 420, x: 900 }}
        rowKey={({ line }) => line}
        pagination={false}
        dataSource={listed}
        columns={[
          { title: 'Row', width: 70, render: (_, { line }) => line },
          { title: 'Code', width: 110, render: (_, { code }) => <span className="strong">{code}</span> },
          {
            title: 'What it does',
            width: 150,
            render: (_, row) => {
              const [word, mark] = states[shownAs(row)];
              return (
                <span className={`word tone-${mark}`}>
                  <Mark kind={mark} />
                  {word}
                </span>
              );
            },
          },
          { title: 'In detail', render: (_, row) => <Detail row={row} /> },
        ]}
      />
      {asked > 0 && (
        <Checkbox checked={isConfirmed} onChange={(event) => setConfirmed(event.target.checked)}>
          {asked === 1 ? 'The row that is asked about is right' : `The ${asked} rows that are asked about are right`}
        </Checkbox>
      )}
      <Said say={say} />
      {busy && done !== null && <Progress percent={Math.round((100 * done) / writable.length)} aria-label="Written down" />}
      <div className="row">
        <Button type="primary" size="large" loading={busy} disabled={writable.length === 0} onClick={() => void run(write)}>
          {writable.length === 1 ? 'Write 1 point down' : `Write ${writable.length} points down`}
        </Button>
        <Button size="large" onClick={close}>
          Leave the register as it is
        </Button>
      </div>
    </div>
  );
}

function Detail({ row: { state, faults, changes, asked, point } }: { row: PreviewRow }) {
  if (state === 'fault') return <span className="small">{faults.map(sayCell).join(' ')}</span>;
  return (
    <span className="small">
      {asked.map((finding) => sayAbout(finding)).map(({ says, advice }) => `${says} ${advice ?? ''} `)}
      {state === 'new' && point ? `${point.name}, ${point.place}` : ''}
      {state === 'changed' &&
        changes.map(({ column, before, after }) => `${column}: ${before || 'nothing'} → ${after || 'nothing'}`).join('; ')}
    </span>
  );
}

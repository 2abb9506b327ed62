import { keepLoggerFile, orderNames } from '@fonte/core/logger';
import { dateOrders, recordedUnits, type SeriesKind } from '@fonte/core/registers';
import { offsetIn } from '@fonte/core/time';
import { unitLabel, unitsOf } from '@fonte/core/units';
import { UploadOutlined } from '@ant-design/icons';
import { Button, Select, Table, Upload } from 'antd';
import { call } from '../api/call.ts';
import { Said } from '../feedback/Said.tsx';
import { useAction } from '../feedback/useAction.ts';
import { Field } from '../form/Field.tsx';
import { ZoneSelect } from '../registers/index.ts';
import { now } from '../time/clock.ts';
import { siteZone } from '../time/show.ts';
import { draftOfFile, ofColumn, type FileDraft } from './draft.ts';

/** The files that are asked for: what each is called, and what stands before the names of its fields where there are others. */
const files = {
  water: { name: 'Record of the water', title: 'What the logger recorded', ask: 'Bring in the logger’s file', before: '' },
  air: { name: 'Record of the air', title: 'The air beside it', ask: 'Bring in the air’s file', before: 'Air: ' },
  recording: { name: 'Record of the box', title: 'What the logger recorded', ask: 'Bring in the logger’s file', before: '' },
};

interface Props {
  of: keyof typeof files;
  /** What it holds; undefined while that was not said. */
  as: SeriesKind | undefined;
  draft: FileDraft | null;
  set: (draft: FileDraft) => void;
}

const offsets = Array.from({ length: 105 }, (_, place) => -720 + place * 15);
const showOffset = (offset: number) => {
  const size = Math.abs(offset);
  return `UTC${offset < 0 ? '−' : '+'}${String(Math.floor(size / 60)).padStart(2, '0')}:${String(size % 60).padStart(2, '0')}`;
};
/** Minutes that this device's own wall clock is ahead of UTC now: told beside the question, and not its answer. */
const here = () => offsetIn(now(), siteZone());

/** A file of a logger, and everything that has to be said before it is read in one way. */
export function FileFields({ of, as, draft, set }: Props) {
  const { busy, run, say } = useAction();
  const { name, title, ask } = files[of];
  const take = (file: File) =>
    run(async () => {
      const look = await call(keepLoggerFile, { body: file });
      set(draftOfFile(file.name.slice(0, 200), look, as));
    });
  return (
    <section className="panel stack" aria-label={name}>
      <div className="row between">
        <h2>{title}</h2>
        <Upload
          accept=".csv,.txt,.tsv,.dat,text/csv,text/plain"
          showUploadList={false}
          beforeUpload={(file) => {
            void take(file);
            return false;
          }}
        >
          <Button size="large" icon={<UploadOutlined />} loading={busy}>
            {draft ? 'Another file' : ask}
          </Button>
        </Upload>
      </div>
      <Said say={say} />
      {draft && <HowRead of={of} as={as} draft={draft} set={set} />}
    </section>
  );
}

function HowRead({ of, as, draft, set }: Omit<Props, 'draft'> & { draft: FileDraft }) {
  const { look, clock } = draft;
  const columns = (look?.header ?? []).map((label, value) => ({ value, label }));
  // Of a file that was brought in before, only its columns' numbers are known.
  const known = (chosen: number | undefined) =>
    columns.length > 0 ? columns : chosen === undefined ? [] : [{ value: chosen, label: `Column ${chosen + 1}` }];
  const units = as ? unitsOf(recordedUnits(as)) : [];
  // Each field has a name of its own, also for who only hears it.
  const { before } = files[of];
  const called = (title: string) => (before ? `${before}${title.toLowerCase().replace('utc', 'UTC')}` : title);
  return (
    <>
      <p>
        <span className="strong">{draft.name}</span> {look && <span className="soft">{look.rows.toLocaleString('en')} rows</span>}
      </p>
      {look && (
        <Table
          size="small"
          pagination={false}
          scroll={{ x: 'max-content' }}
          rowKey="line"
          dataSource={look.sample.map((cells, line) => ({ line, cells }))}
          columns={look.header.map((title, place) => ({ title, key: place, render: (_, row: { cells: string[] }) => row.cells[place] }))}
        />
      )}
      <div className="form-grid">
        <Field name={[of, 'date']} label={called('Date')}>
          <Select size="large" placeholder="Choose" options={known(draft.date)} />
        </Field>
        <Field name={[of, 'time']} label={called('Time')} hint="Empty where it stands with the date">
          <Select size="large" allowClear options={known(draft.time)} />
        </Field>
        <Field name={[of, 'order']} label={called('Dates are written')}>
          <Select
            size="large"
            placeholder="Could be read two ways: choose"
            options={dateOrders
              .filter((order) => !look || look.orders.includes(order))
              .map((order) => ({ value: order, label: orderNames[order] }))}
          />
        </Field>
        <Field name={[of, 'clock', 'goes']} label={called('Its clock')}>
          <Select
            size="large"
            placeholder="Choose"
            options={[
              { value: 'fixed', label: 'the same all year' },
              { value: 'wall', label: 'goes with summer time' },
              ...(look && !look.isWritten ? [] : [{ value: 'written', label: 'says its distance from UTC each time' }]),
            ]}
          />
        </Field>
        {clock.goes === 'fixed' && (
          <Field name={[of, 'clock', 'offset']} label={called('Ahead of UTC')} hint={`Your own clock is at ${showOffset(here())} today`}>
            <Select
              size="large"
              showSearch={{ optionFilterProp: 'label' }}
              placeholder="Choose"
              options={offsets.map((value) => ({ value, label: showOffset(value) }))}
            />
          </Field>
        )}
        {clock.goes === 'wall' && (
          <Field name={[of, 'clock', 'zone']} label={called('Wall clock of')}>
            <ZoneSelect />
          </Field>
        )}
        <Field name={[of, 'ahead']} label={called('Its clock was ahead by')} hint="All the time; with − where it was behind" />
        <Field name={[of, 'value']} label={called('Reading')}>
          <Select
            size="large"
            placeholder="Choose the column"
            options={known(draft.value).filter(({ value }) => !look || look.columns.some(({ place }) => place === value))}
            onChange={(value: number) => set({ ...draft, value, ...ofColumn(look, value) })}
          />
        </Field>
        <Field name={[of, 'decimals']} label={called('Decimals are marked by')}>
          <Select
            size="large"
            placeholder="Could be read two ways: choose"
            options={[
              { value: 'point', label: 'a point: 1.5' },
              { value: 'comma', label: 'a comma: 1,5' },
            ]}
          />
        </Field>
        <Field name={[of, 'unit']} label={called('Unit')}>
          <Select
            size="large"
            placeholder={as ? 'Choose' : 'Say first what it recorded'}
            options={units.map((value) => ({ value, label: unitLabel(value) }))}
          />
        </Field>
      </div>
    </>
  );
}

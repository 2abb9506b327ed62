import { mostProbableNumber, questionMpn, trays, type Mpn, type MpnSet, type TrayId } from '@fonte/core/counts';
import { readField } from '../units/decimal.ts';
import { showNumber } from '@fonte/core/units';
import { Button, Input, Select } from 'antd';
import { useId, useState } from 'react';
import { Findings } from '../findings/Findings.tsx';

interface Row {
  volume: string;
  wells: string;
  positive: string;
}

const empty: Row = { volume: '', wells: '', positive: '' };
const rowsOf = (id: TrayId): Row[] =>
  trays[id].sets.map(({ volume, wells }) => ({ volume: String(Number(volume.toFixed(4))), wells: String(wells), positive: '' }));

/** What is wrong with a row, or the wells that it says; null while it says none yet. */
function readRow({ volume, wells, positive }: Row, exact: number | undefined): MpnSet | string | null {
  if ([volume, wells, positive].some((text) => text.trim() === '')) return null;
  const [v, n, p] = [volume, wells, positive].map((text) => readField(text));
  if (!v?.ok || !n?.ok || !p?.ok) return 'Numbers alone.';
  if (!(v.value > 0)) return 'A volume is more than 0.';
  if (!Number.isInteger(n.value) || n.value < 1 || n.value > 1000) return 'So many wells there are not.';
  if (!Number.isInteger(p.value) || p.value < 0) return 'Wells are whole, and none is less than 0.';
  if (p.value > n.value) return `There are only ${n.value} of them.`;
  return { volume: exact ?? v.value, wells: n.value, positive: p.value };
}

const shown = (value: number) => showNumber(value, value >= 100 ? 0 : 1);
const signs = { value: '', below: '< ', above: '> ' } as const;

/** Positive wells as a most probable number, with what it may be as well. */
export function Wells() {
  const [tray, setTray] = useState<TrayId | ''>('wells-51');
  const [rows, setRows] = useState<readonly Row[]>(() => rowsOf('wells-51'));
  const field = useId();
  const read = rows.map((row, place) => readRow(row, tray ? trays[tray].sets[place]?.volume : undefined));
  const sets = read.filter((one): one is MpnSet => typeof one === 'object' && one !== null);
  const found: Mpn | null = sets.length === rows.length && sets.length > 0 ? mostProbableNumber(sets) : null;
  const change = (place: number, said: Partial<Row>) => setRows(rows.map((row, at) => (at === place ? { ...row, ...said } : row)));
  const number = (place: number, name: keyof Row, label: string, isFixed = false) => (
    <div className="typed">
      <label htmlFor={`${field}-${place}-${name}`}>{!tray && rows.length > 1 ? `${label}, row ${place + 1}` : label}</label>
      <Input
        id={`${field}-${place}-${name}`}
        size="large"
        inputMode="decimal"
        autoComplete="off"
        disabled={isFixed}
        value={rows[place]![name]}
        onChange={(event) => change(place, { [name]: event.target.value })}
      />
    </div>
  );
  return (
    <section className="panel">
      <h2>Most probable number</h2>
      <div className="typed">
        <label htmlFor={field}>Wells or tubes</label>
        <Select<TrayId | ''>
          id={field}
          size="large"
          value={tray}
          onChange={(id) => {
            setTray(id);
            setRows(id ? rowsOf(id) : [empty]);
          }}
          options={[
            ...(Object.keys(trays) as TrayId[]).map((value) => ({ value, label: trays[value].name })),
            { value: '', label: 'Others: type them' },
          ]}
        />
      </div>
      {rows.map((_, place) => (
        <div key={place}>
          <div className="wells-row">
            {!tray && number(place, 'volume', 'mL in each')}
            {!tray && number(place, 'wells', 'How many')}
            {number(
              place,
              'positive',
              tray
                ? `Positive of ${trays[tray].sets[place]!.wells} of ${Number(trays[tray].sets[place]!.volume.toPrecision(3))} mL`
                : 'Positive',
            )}
          </div>
          {typeof read[place] === 'string' && (
            <p className="field-error" role="alert">
              {read[place]}
            </p>
          )}
        </div>
      ))}
      {!tray && rows.length < 6 && (
        <Button size="small" onClick={() => setRows([...rows, empty])}>
          Another volume
        </Button>
      )}
      <div className="figure">
        <span className="soft small">Per 100 mL</span>
        <span className="value" role="status">
          {found ? `${signs[found.form]}${shown(found.value)}` : '–'}
        </span>
        {found && (
          <span className="small soft">
            95 %: {found.from === null ? '0' : shown(found.from)} to {found.to === null ? 'no end' : shown(found.to)}. The number at which
            these wells are likeliest (ISO 8199:2018); limits by likelihood ratio.
          </span>
        )}
      </div>
      {found && <Findings of={questionMpn(found)} />}
    </section>
  );
}

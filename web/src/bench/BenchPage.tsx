import { steelTapeDepth } from '@fonte/core/level';
import { readField } from '../units/decimal.ts';
import { conductivityAt25, oxygenSaturation } from '@fonte/core/parameters';
import { casingVolume, flowRate, insideDiameter, pipe, pipeIds, timeFor, waterColumn, type PipeId } from '@fonte/core/purge';
import { base, convert, sayNumber, showNumber, unit, unitIds, unitLabel, unitsOf, type Typed, type UnitId } from '@fonte/core/units';
import { Select } from 'antd';
import { useId, useState } from 'react';
import { numberError, TypedField } from '../units/TypedField.tsx';
import { useUnitSystem } from '../units/system.ts';
import { Figure } from '../working/Figure.tsx';
import { Wells } from './Wells.tsx';

const valueOf = (typed: Typed): number | null => (readField(typed.text).ok ? base(typed) : null);
const complaint = (typed: Typed, least = 0) => {
  if (typed.text.trim() === '') return undefined;
  const value = valueOf(typed);
  return value === null ? numberError(typed) : value < least ? 'Cannot be negative.' : undefined;
};
const positive = (typed: Typed) => {
  const value = valueOf(typed);
  return value !== null && value > 0 ? value : null;
};
const useTyped = (id: UnitId) => useState<Typed>({ text: '', unit: id });

/** The calculators on their own: nothing here is recorded. */
export function BenchPage() {
  return (
    <>
      <h1>Bench</h1>
      <p className="soft">Calculators on their own. Nothing here is recorded.</p>
      <div className="form-grid">
        <Volume />
        <Flow />
        <SteelTape />
        <Water />
        <Wells />
        <Units />
      </div>
    </>
  );
}

function Volume() {
  const {
    units: {
      depth: [length],
      volume: [volume, decimals],
      diameter: [small],
    },
  } = useUnitSystem();
  const [bottom, setBottom] = useTyped(length);
  const [depth, setDepth] = useTyped(length);
  const [diameter, setDiameter] = useTyped(small);
  const [chosen, setChosen] = useState<PipeId | ''>('');
  const pipeField = useId();
  const d = chosen ? insideDiameter(chosen) : positive(diameter);
  const [b, w] = [positive(bottom), valueOf(depth)];
  const column = b !== null && w !== null ? waterColumn({ bottom: b, depth: w }) : null;
  const one = column && column.value >= 0 && d ? casingVolume({ insideDiameter: d, column: column.value }) : null;
  return (
    <section className="panel">
      <h2>Casing volume</h2>
      <TypedField label="Bottom below the mark" value={bottom} units={['m', 'ft']} onChange={setBottom} error={complaint(bottom)} />
      <TypedField
        label="Water below the mark"
        value={depth}
        units={['m', 'ft']}
        onChange={setDepth}
        error={column && column.value < 0 ? 'Below the bottom of the well.' : complaint(depth)}
      />
      <div className="typed">
        <label htmlFor={pipeField}>Casing</label>
        <Select
          id={pipeField}
          size="large"
          value={chosen}
          onChange={setChosen}
          options={[{ value: '' as const, label: 'Type the diameter' }, ...pipeIds.map((value) => ({ value, label: pipe(value).name }))]}
        />
      </div>
      {!chosen && (
        <TypedField label="True inside diameter" value={diameter} units={['mm', 'in']} onChange={setDiameter} error={complaint(diameter)} />
      )}
      <Figure label="One volume" of={one} unit={volume} decimals={decimals} />
      <Figure label="Three volumes" of={one ? { ...one, value: one.value * 3 } : null} unit={volume} decimals={decimals} />
    </section>
  );
}

function Flow() {
  const {
    units: {
      volume: [volumeUnit],
    },
    system,
  } = useUnitSystem();
  const [caught, setCaught] = useTyped(volumeUnit);
  const [seconds, setSeconds] = useTyped('s');
  const [wanted, setWanted] = useTyped(volumeUnit);
  const [v, s, goal] = [positive(caught), positive(seconds), positive(wanted)];
  const flow = v && s ? flowRate({ volume: v, seconds: s }) : null;
  return (
    <section className="panel">
      <h2>Flow</h2>
      <TypedField label="Caught" value={caught} units={['L', 'mL', 'gal']} onChange={setCaught} error={complaint(caught)} />
      <TypedField label="In" value={seconds} units={['s', 'min']} onChange={setSeconds} error={complaint(seconds)} />
      <TypedField label="How long for" value={wanted} units={['L', 'gal']} onChange={setWanted} error={complaint(wanted)} />
      <Figure label="Flow" of={flow} unit={system === 'us' ? 'gpm' : 'L/min'} decimals={3} />
      <Figure label="Time" of={flow && goal ? timeFor({ volume: goal, flow: flow.value }) : null} unit="min" decimals={1} />
    </section>
  );
}

/** What a probe should show, and what it would show at 25 °C. */
function Water() {
  const {
    units: {
      depth: [length],
    },
  } = useUnitSystem();
  const [temperature, setTemperature] = useTyped('degC');
  const [elevation, setElevation] = useTyped(length);
  const [conductivity, setConductivity] = useTyped('uS/cm');
  const [t, k] = [valueOf(temperature), positive(conductivity)];
  const isWater = t !== null && t >= 0 && t <= 40;
  return (
    <section className="panel">
      <h2>Oxygen and conductivity</h2>
      <TypedField
        label="Temperature of the water"
        value={temperature}
        units={['degC', 'degF']}
        onChange={setTemperature}
        error={t !== null && !isWater ? 'Between 0 and 40 °C.' : complaint(temperature, -300)}
      />
      <TypedField label="Above the sea" value={elevation} units={['m', 'ft']} onChange={setElevation} error={complaint(elevation, -500)} />
      <Figure
        label="Oxygen in balance with the air"
        of={isWater ? oxygenSaturation(t, valueOf(elevation) ?? 0) : null}
        unit="mg/L"
        decimals={2}
      />
      <TypedField
        label="Conductivity, not compensated"
        value={conductivity}
        units={['uS/cm', 'mS/m']}
        onChange={setConductivity}
        error={complaint(conductivity)}
        hint="By the factors of ISO 7888 for natural water. A meter that is set to 2 % for each degree shows another number."
      />
      <Figure label="At 25 °C" of={isWater && k ? conductivityAt25({ measured: k, temperature: t }) : null} unit="uS/cm" decimals={0} />
    </section>
  );
}

function SteelTape() {
  const {
    units: {
      depth: [length, decimals],
    },
  } = useUnitSystem();
  const [hold, setHold] = useTyped(length);
  const [cut, setCut] = useTyped(length);
  const [h, c] = [positive(hold), valueOf(cut)];
  const tooLong = h !== null && c !== null && c > h;
  return (
    <section className="panel">
      <h2>Steel tape</h2>
      <TypedField label="Hold at the mark" value={hold} units={['m', 'ft']} onChange={setHold} error={complaint(hold)} />
      <TypedField
        label="Cut, the wetted length"
        value={cut}
        units={['m', 'ft']}
        onChange={setCut}
        error={tooLong ? 'Longer than the hold.' : complaint(cut)}
        hint="Dry or smeared: chalk and lower again."
      />
      <Figure
        label="Depth to water"
        of={h !== null && c !== null && c >= 0 && !tooLong ? steelTapeDepth({ hold: h, cut: c }) : null}
        unit={length}
        decimals={decimals}
      />
    </section>
  );
}

function Units() {
  const [from, setFrom] = useTyped('ft');
  const field = useId();
  const reading = readField(from.text);
  const convertible = unitIds.filter((id) => unitsOf(unit(id).dimension).length > 1);
  const digits = (value: number) => (value === 0 ? 0 : Math.max(0, Math.min(8, 4 - Math.floor(Math.log10(Math.abs(value))))));
  return (
    <section className="panel">
      <h2>Units</h2>
      <div className="typed">
        <label htmlFor={field}>From</label>
        <Select
          id={field}
          size="large"
          showSearch
          value={from.unit}
          onChange={(id) => setFrom({ ...from, unit: id })}
          options={convertible.map((value) => ({ value, label: unitLabel(value) }))}
        />
      </div>
      <TypedField
        label="Number"
        value={from}
        units={[from.unit]}
        onChange={setFrom}
        error={from.text.trim() === '' || reading.ok ? undefined : sayNumber(reading)}
      />
      {reading.ok && (
        <table className="dense">
          <tbody>
            {unitsOf(unit(from.unit).dimension)
              .filter((id) => id !== from.unit)
              .map((id) => {
                const value = convert(reading.value, from.unit, id);
                return (
                  <tr key={id}>
                    <td className="number strong">{showNumber(value, digits(value))}</td>
                    <td>{unitLabel(id)}</td>
                  </tr>
                );
              })}
          </tbody>
        </table>
      )}
    </section>
  );
}

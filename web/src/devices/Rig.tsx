import { fromBase, show, toBase, type Typed } from '@fonte/core/units';
import { readField } from '../units/decimal.ts';
import { parameter } from '@fonte/core/parameters';
import { unitLabel } from '@fonte/core/units';
import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Mark } from '../theme/Mark.tsx';
import { TypedInput } from '../units/TypedField.tsx';
import type { SimulatedDevices } from './simulated.ts';
import { useHeard } from './useHeard.ts';

const Trace = lazy(async () => ({ default: (await import('./Trace.tsx')).Trace }));

/** The pump's knob, a jug under the hose, and what the probe shows. */
export function Rig({ devices }: { devices: SimulatedDevices }) {
  const pump = useHeard(devices.pump);
  const probe = useHeard(devices.probe);
  const [isWatched, watch] = useState(false);
  const [flow, setFlow] = useState<Typed>({ text: '', unit: 'L/min' });
  const reading = readField(flow.text);
  const wanted = reading.ok ? toBase(reading.value, flow.unit) : null;
  const canSet = wanted !== null && wanted >= 0 && wanted <= devices.pump.most;
  return (
    <section className="panel rig" aria-label="Simulated pump and probe">
      <div className="row">
        <TypedInput label="flow of the pump" aria-label="Flow of the pump" units={['L/min', 'mL/min']} value={flow} onChange={setFlow} />
        <Button disabled={!canSet} onClick={() => devices.pump.setFlow(wanted!)}>
          Set the pump
        </Button>
        <Button onClick={() => devices.pump.setFlow(0)}>Stop it</Button>
      </div>
      <p className="small" aria-live="off">
        {pump === null || pump.set === 0 ? 'The pump stands.' : `The pump gives ${show(pump.flow, 'L/min', 2)}.`} The level stands at{' '}
        {devices.level().toFixed(3)} m. The jug holds {fromBase(devices.jug(), 'L').toFixed(2)} L.{' '}
        <Button size="small" onClick={devices.emptyJug}>
          Empty the jug
        </Button>
      </p>
      {pump?.isDry && (
        <p className="word tone-stop">
          <Mark kind="stop" />
          It draws air
        </p>
      )}
      {probe && (
        <p className="probe-shows" aria-live="off">
          {devices.probe.parameters.map((id) => (
            <span key={id}>
              <span className="small soft">{parameter(id).name.replace(/ at 25.*/, '')}</span>
              <span className="strong">
                {probe.values[id]?.text} <span className="small">{unitLabel(parameter(id).unit).replace(/^pH$/, '')}</span>
              </span>
            </span>
          ))}
        </p>
      )}
      <details onToggle={(event) => watch(event.currentTarget.open)}>
        <summary>Watch its level</summary>
        {isWatched && (
          <Suspense fallback={null}>
            <Trace devices={devices} />
          </Suspense>
        )}
      </details>
    </section>
  );
}

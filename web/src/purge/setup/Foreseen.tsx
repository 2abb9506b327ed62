import { purgeMethod, type PurgeChoice } from '@fonte/core/purge';
import { readField } from '../../units/decimal.ts';
import type { AgreedLevel } from '@fonte/core/level';
import type { WellPoint } from '@fonte/core/registers';
import { fromBase, toBase } from '@fonte/core/units';
import { useState } from 'react';
import { Figure } from '../../working/Figure.tsx';
import { TypedInput } from '../../units/TypedField.tsx';
import { useUnitSystem } from '../../units/system.ts';

/** So much one container for purge water takes, in m³, where nobody types another. */
const container = 0.02;

/** What is to be pumped, how long that takes and how many containers it fills, before the pump is started. */
export function Foreseen({ chosen, point, level }: { chosen: PurgeChoice; point: WellPoint; level: AgreedLevel | null }) {
  const {
    units: {
      volume: [unit, decimals],
    },
    system,
  } = useUnitSystem();
  const [flow, setFlow] = useState({ text: '', unit: system === 'us' ? ('gpm' as const) : ('L/min' as const) } as Parameters<
    typeof TypedInput
  >[0]['value'] &
    object);
  const aim = purgeMethod(chosen.method).aim(chosen, point, level);
  if (!aim) return null;
  const reading = readField(flow.text);
  const rate = reading.ok && reading.value > 0 ? toBase(reading.value, flow.unit) : null;
  return (
    <section className="stack" aria-label="What is to be pumped">
      <div className="figures">
        <Figure
          label={aim.of === 'casing' ? 'One volume' : 'Pump, tubing and cell hold'}
          of={aim.oneVolume}
          unit={unit}
          decimals={aim.of === 'casing' ? decimals : decimals + 1}
        />
        {aim.of === 'casing' && <Figure label="To remove" of={aim.target} unit={unit} decimals={decimals} />}
        {aim.of === 'casing' && (
          <div className="figure">
            <span className="soft small">
              Containers of {fromBase(container, unit).toFixed(unit === 'gal' ? 1 : 0)} {unit}
            </span>
            <span className="value">{Math.ceil(aim.target.value / container - 1e-9)}</span>
          </div>
        )}
        {rate !== null && (
          <div className="figure">
            <span className="soft small">{aim.of === 'casing' ? 'It takes' : 'First reading after'}</span>
            <span className="value">
              {Math.ceil(aim.target.value / rate / 60 - 1e-9)}
              <span className="unit">min</span>
            </span>
          </div>
        )}
      </div>
      <div className="typed">
        <label htmlFor="foreseen-flow" className="small soft">
          At a flow of
        </label>
        <TypedInput id="foreseen-flow" label="flow" units={['L/min', 'mL/min', 'gpm']} value={flow} onChange={setFlow} />
      </div>
    </section>
  );
}

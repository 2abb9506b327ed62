import { limitSets } from '@fonte/core/limits';
import type { DecimalMark } from '@fonte/core/units';
import { Checkbox, Modal, Segmented, Select } from 'antd';
import { useId } from 'react';
import { useLeadingLimits } from '../editions/leading.ts';
import { useLabelsAtOnce } from '../fill/index.ts';
import type { Variant } from '../theme/tokens.ts';
import { useVariant, variants } from '../theme/variant.ts';
import { useDecimalMark } from '../units/decimal.ts';
import { useUnitSystem, type UnitSystem } from '../units/system.ts';

const lights: Record<Variant, string> = { day: 'Day', night: 'Night', sun: 'Full sun' };
const systems: Record<UnitSystem, string> = { metric: 'Metres, litres', us: 'Feet, gallons' };

/** What a person chooses once: units, light, and which limits to see first. The record does not change with them. */
export function SettingsDialog({ open, close }: { open: boolean; close: () => void }) {
  const { variant, choose } = useVariant();
  const { system, chooseSystem } = useUnitSystem();
  const { mark, chooseMark } = useDecimalMark();
  const { leading, chooseLeading } = useLeadingLimits();
  const { isOn, choose: chooseLabels } = useLabelsAtOnce();
  const limits = useId();
  return (
    <Modal open={open} title="Settings on this device" onCancel={close} footer={null} destroyOnHidden>
      <div className="stack-wide">
        <div className="typed">
          <span className="strong">Units</span>
          <Segmented<UnitSystem>
            aria-label="Units"
            size="large"
            value={system}
            onChange={chooseSystem}
            options={(Object.keys(systems) as UnitSystem[]).map((value) => ({ value, label: systems[value] }))}
          />
        </div>
        <div className="typed">
          <span className="strong">Decimals are typed after a</span>
          <Segmented<DecimalMark>
            aria-label="Decimals are typed after a"
            size="large"
            value={mark}
            onChange={chooseMark}
            options={[
              { value: 'point', label: 'Point: 7.40' },
              { value: 'comma', label: 'Comma: 7,40' },
            ]}
          />
        </div>
        <div className="typed">
          <span className="strong">Light</span>
          <Segmented<Variant>
            aria-label="Light"
            size="large"
            value={variant}
            onChange={choose}
            options={variants.map((value) => ({ value, label: lights[value] }))}
          />
        </div>
        <div className="typed">
          <label htmlFor={limits}>Limits to see first</label>
          <Select
            id={limits}
            size="large"
            value={leading}
            onChange={chooseLeading}
            options={[{ value: '', label: 'As each round says' }, ...limitSets.newest.map((set) => ({ value: set.id, label: set.name }))]}
          />
        </div>
        <Checkbox checked={isOn} onChange={(event) => chooseLabels(event.target.checked)}>
          The next bottle waits until the one before has its label
        </Checkbox>
        <p className="soft small">What is written down stays as it was typed, and what must be done follows from the round’s own limits.</p>
      </div>
    </Modal>
  );
}

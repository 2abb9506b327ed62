import { unitLabel, type UnitId } from '@fonte/core/units';
import { Button } from 'antd';

interface Props {
  id?: string;
  steps: readonly number[];
  unit: UnitId;
  /** What each step looks like, where the kit’s own chart says it. */
  shades?: ReadonlyMap<number, string>;
  /** The step it looks like, or two next to each other between which it lies. */
  value?: readonly number[];
  onChange?: (steps: readonly number[]) => void;
}

/** The steps of a chart, darker from one to the next; of a kit each with its own shade, in words. */
export function Chart({ id, steps, unit, shades, value = [], onChange = () => undefined }: Props) {
  const press = (step: number) => {
    const place = steps.indexOf(step);
    if (value.includes(step)) return onChange(value.filter((one) => one !== step));
    const isNext = value.length === 1 && Math.abs(steps.indexOf(value[0]!) - place) === 1;
    onChange(isNext ? [...value, step].sort((a, b) => a - b) : [step]);
  };
  return (
    <div id={id} className="chart-steps" role="group" aria-label="Steps of the chart">
      {steps.map((step, place) => (
        <Button
          key={step}
          className={`chart-step${value.includes(step) ? ' chosen' : ''}`}
          aria-pressed={value.includes(step)}
          aria-label={`${shades ? shades.get(step) : 'Step'} ${step} ${unitLabel(unit)}`}
          onClick={() => press(step)}
        >
          {shades ? (
            <span className="small">{shades.get(step)} </span>
          ) : (
            <span
              className="swatch"
              aria-hidden="true"
              style={{ background: `color-mix(in srgb, var(--rust) ${Math.round((place / (steps.length - 1)) * 80)}%, var(--surface))` }}
            />
          )}
          {step}
        </Button>
      ))}
    </div>
  );
}

import { fromBase, unitLabel } from '@fonte/core/units';
import { CategoryScale, Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { font, palettes } from '../theme/tokens.ts';
import { useVariant } from '../theme/variant.ts';
import { useUnitSystem } from '../units/system.ts';
import type { Series } from './series.ts';

Chart.register(LineElement, PointElement, LinearScale, CategoryScale, Tooltip);

/** Water levels of a well through time: elevations, or depths below one mark, which count downwards. */
export function Hydrograph({ says, isDepth, levels }: Series) {
  const { variant } = useVariant();
  const {
    units: {
      depth: [unit],
    },
  } = useUnitSystem();
  const palette = palettes[variant];
  const label = new Intl.DateTimeFormat('en-GB', { month: 'short', year: '2-digit', timeZone: 'UTC' });
  const values = levels.map((level) => fromBase(level.value, unit));
  const text = { color: palette.ink, font: { size: 14, family: font } };
  return (
    <figure style={{ height: 190 }}>
      <Line
        role="img"
        aria-label={`${says} from ${label.format(levels[0]!.at)} to ${label.format(levels.at(-1)!.at)}, between ${Math.min(...values).toFixed(2)} and ${Math.max(...values).toFixed(2)} ${unitLabel(unit)}`}
        data={{
          labels: levels.map((level) => label.format(level.at)),
          datasets: [{ data: values, borderColor: palette.waterDeep, backgroundColor: palette.ink, borderWidth: 2.5, pointRadius: 4 }],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: {
            y: {
              reverse: isDepth,
              ticks: text,
              grid: { color: palette.rule },
              title: { display: true, text: `${isDepth ? 'Depth' : 'Elevation'}, ${unitLabel(unit)}`, ...text },
            },
            x: { ticks: text, grid: { display: false } },
          },
        }}
      />
    </figure>
  );
}

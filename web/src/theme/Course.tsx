import { CategoryScale, Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { font, palettes } from './tokens.ts';
import { useVariant } from './variant.ts';

Chart.register(LineElement, PointElement, LinearScale, CategoryScale, Tooltip);

interface Props {
  /** What it shows, for those who do not see it. */
  says: string;
  /** One for each value, in their order. */
  labels: readonly string[];
  values: readonly number[];
  /** Values that are only known to be less: they stand as open marks. */
  isBelow?: readonly boolean[];
  /** Lines that the values are held against. */
  bounds?: readonly (readonly number[])[];
  /** What is counted upwards, with its unit. */
  axis: string;
  /** Depths grow downwards. */
  isReversed?: boolean;
  /** In px. */
  height: number;
}

/** Values in their order as a line, with the bounds they are held against. */
export function Course({ says, labels, values, isBelow = [], bounds = [], axis, isReversed = false, height }: Props) {
  const { variant } = useVariant();
  const palette = palettes[variant];
  const text = { color: palette.ink, font: { size: 14, family: font } };
  return (
    <div style={{ height }}>
      <Line
        role="img"
        aria-label={says}
        data={{
          labels: [...labels],
          datasets: [
            {
              data: [...values],
              borderColor: palette.waterDeep,
              backgroundColor: palette.ink,
              pointBackgroundColor: values.map((_, place) => (isBelow[place] ? palette.raised : palette.ink)),
              pointBorderColor: palette.ink,
              borderWidth: 2.5,
              pointRadius: 4,
            },
            ...bounds.map((bound) => ({
              data: [...bound],
              borderColor: palette.ochre,
              borderDash: [6, 4],
              borderWidth: 1.5,
              pointRadius: 0,
            })),
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: {
            y: { reverse: isReversed, ticks: text, grid: { color: palette.rule }, title: { display: true, text: axis, ...text } },
            x: { ticks: { ...text, maxTicksLimit: 6 }, grid: { display: false } },
          },
        }}
      />
    </div>
  );
}

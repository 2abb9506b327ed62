import { Chart, Decimation, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { font, palettes } from '../theme/tokens.ts';
import { useVariant } from '../theme/variant.ts';
import { momentOnAxis } from './show.ts';

Chart.register(LineElement, PointElement, LinearScale, Decimation, Tooltip);

interface Props {
  /** What it shows, for those who do not see it. */
  says: string;
  /** When each value was taken (ms), oldest first: they stand on a true axis of time. */
  times: readonly number[];
  values: readonly number[];
  /** Values that are only known to be less: they stand as open marks. */
  isBelow?: readonly boolean[];
  /** Lines that the values are held against. */
  bounds?: readonly (readonly number[])[];
  /** Single values that stand beside the course, oldest first. */
  marks?: readonly { at: number; value: number }[];
  /** What is counted upwards, with its unit. */
  axis: string;
  /** Depths grow downwards. */
  isReversed?: boolean;
  /** In px. */
  height: number;
  /** Whose wall clock the times are shown by. */
  zone: string;
}

/** More values than this are drawn without marks, and thinned to what a screen shows. */
const many = 400;

/** Values through time as a line, with the bounds they are held against. */
export function Course({ says, times, values, isBelow = [], bounds = [], marks = [], axis, isReversed = false, height, zone }: Props) {
  const { variant } = useVariant();
  const palette = palettes[variant];
  const text = { color: palette.ink, font: { size: 14, family: font } };
  const through = (one: readonly number[]) => one.map((y, place) => ({ x: times[place]!, y }));
  const isMany = values.length > many;
  const [first = 0, last = 0] = [times[0], times.at(-1)];
  const moment = momentOnAxis(last - first, zone);
  return (
    <div style={{ height }}>
      <Line
        role="img"
        aria-label={says}
        data={{
          datasets: [
            {
              data: through(values),
              borderColor: palette.waterDeep,
              backgroundColor: palette.ink,
              // Marks for each of many values would hide the line, and take their time.
              ...(isMany
                ? {}
                : {
                    pointBackgroundColor: values.map((_, place) => (isBelow[place] ? palette.raised : palette.ink)),
                    pointBorderColor: palette.ink,
                  }),
              // A mark at either end is not cut in half.
              clip: 6,
              borderWidth: isMany ? 1.5 : 2.5,
              pointRadius: isMany ? 0 : 4,
            },
            ...(marks.length > 0
              ? [
                  {
                    data: marks.map(({ at, value }) => ({ x: at, y: value })),
                    showLine: false,
                    // Over the course.
                    order: -1,
                    pointBackgroundColor: palette.raised,
                    pointBorderColor: palette.ink,
                    pointBorderWidth: 2,
                    pointRadius: 5,
                    clip: 8,
                  },
                ]
              : []),
            ...bounds.map((bound) => ({
              data: through(bound),
              borderColor: palette.ochre,
              borderDash: [6, 4],
              borderWidth: 1.5,
              pointRadius: 0,
            })),
          ],
        }}
        options={{
          animation: false,
          parsing: false,
          maintainAspectRatio: false,
          plugins: {
            decimation: { enabled: true, algorithm: 'min-max' },
            tooltip: { callbacks: { title: ([item]) => (item ? moment(item.parsed.x ?? 0) : '') } },
          },
          scales: {
            y: { reverse: isReversed, ticks: text, grid: { color: palette.rule }, title: { display: true, text: axis, ...text } },
            x: {
              type: 'linear',
              min: first,
              max: last > first ? last : first + 1,
              ticks: { ...text, maxTicksLimit: 6, includeBounds: false, callback: (at) => moment(Number(at)) },
              grid: { display: false },
            },
          },
        }}
      />
    </div>
  );
}

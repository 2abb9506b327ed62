import { allowed, checkRecord, checkRow, type CheckId, type CheckOfRecord } from '@fonte/core/prepare';
import { parameter } from '@fonte/core/parameters';
import type { Instrument } from '@fonte/core/registers';
import { showNumber, unitLabel } from '@fonte/core/units';
import { CategoryScale, Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { useAnswer } from '../../api/useAnswer.ts';
import { font, palettes } from '../../theme/tokens.ts';
import { useVariant } from '../../theme/variant.ts';
import { deviceZone, showMoment } from '../../time/show.ts';

Chart.register(LineElement, PointElement, LinearScale, CategoryScale, Tooltip);

type Read = CheckOfRecord & { nominal: number; reading: number };

/** How far each check of an instrument lay from what it should read, through time, with its tolerance as a band. */
export function Drift({ instrument }: { instrument: Instrument }) {
  const { data = [] } = useAnswer(checkRecord, { in: { instrument: instrument.id } });
  const read = data.filter((one): one is Read => one.nominal !== null && one.reading !== null);
  const ids = [...new Set(read.map(({ check }) => check))];
  return (
    <section className="stack">
      <h2>Its checks</h2>
      {data.length === 0 && <p className="soft">It was not checked yet. Checks are made when a round is prepared.</p>}
      {ids.map((id) => (
        <Course key={id} id={id} made={read.filter(({ check }) => check === id)} />
      ))}
    </section>
  );
}

function Course({ id, made }: { id: CheckId; made: readonly Read[] }) {
  const { variant } = useVariant();
  const palette = palettes[variant];
  const { name, parameter: of, tolerance = {} } = checkRow(id);
  const { decimals, unit } = parameter(of!);
  const off = made.map(({ reading, nominal }) => reading - nominal);
  const bound = made.map(({ nominal }) => allowed(tolerance, nominal));
  const text = { color: palette.ink, font: { size: 14, family: font } };
  const line = (data: number[]) => ({ data, borderColor: palette.ochre, borderDash: [6, 4], borderWidth: 1.5, pointRadius: 0 });
  const last = made.at(-1)!;
  return (
    <figure>
      <figcaption>
        <span className="strong">{name}.</span> {made.length === 1 ? '1 check' : `${made.length} checks`}, the last{' '}
        {showNumber(last.reading, decimals)} for {showNumber(last.nominal, decimals)} {unitLabel(unit)}, {showMoment(last.at, deviceZone())}
      </figcaption>
      <div style={{ height: 170 }}>
        <Line
          role="img"
          aria-label={`${name}: distance from the standard in ${unitLabel(unit)}, between ${showNumber(Math.min(...off), decimals)} and ${showNumber(Math.max(...off), decimals)}; tolerance ${showNumber(bound.at(-1)!, decimals)}`}
          data={{
            labels: made.map(({ at }) => showMoment(at, deviceZone())),
            datasets: [
              { data: off, borderColor: palette.waterDeep, backgroundColor: palette.ink, borderWidth: 2.5, pointRadius: 4 },
              line(bound),
              line(bound.map((value) => -value)),
            ],
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            scales: {
              y: { ticks: text, grid: { color: palette.rule }, title: { display: true, text: `Off by, ${unitLabel(unit)}`, ...text } },
              x: { ticks: { ...text, maxTicksLimit: 6 }, grid: { display: false } },
            },
          }}
        />
      </div>
    </figure>
  );
}

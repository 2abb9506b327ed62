import { givingLasts, type DayTold } from '@fonte/core/day';
import { hour, wallTime } from '@fonte/core/time';

interface Bar {
  from: number;
  to: number;
  what: 'drive' | 'wait' | 'work' | 'pause';
  label: string;
}

/** Everything that a day is made of, one after the other. */
function barsOf({ problem: { stops }, day }: DayTold): Bar[] {
  const bars: Bar[] = [];
  let time = day.leaves;
  const add = (to: number, what: Bar['what'], label = '') => {
    if (to > time) bars.push({ from: time, to, what, label });
    time = Math.max(time, to);
  };
  for (const [place, { stop, arrives, begins, ends }] of day.stops.entries()) {
    add(arrives, 'drive');
    add(begins, 'wait');
    add(ends, 'work', stops[stop]!.name);
    if (day.lunch?.after === place + 1) {
      add(day.lunch.begins, 'wait');
      add(day.lunch.ends, 'pause', 'Pause');
    }
    if (day.midway?.after === place + 1) {
      add(day.midway.arrives, 'drive');
      add(day.midway.handOver, 'wait');
      add(day.midway.handOver + givingLasts, 'pause', 'Hand over');
    }
  }
  add(day.arrives, 'drive');
  add(day.handOver, 'wait');
  return bars;
}

const words = { drive: 'drive', wait: 'wait', work: 'at', pause: 'pause' } as const;

/** The day as a picture: drives, waits and work on one line, the hours below it and the lab's open door as a band. */
export function Timeline({ told, zone }: { told: DayTold; zone: string }) {
  const { day, problem } = told;
  const bars = barsOf(told);
  const from = Math.floor(day.leaves / hour) * hour;
  const to = Math.max(from + hour, Math.ceil((day.handOver + 1) / hour) * hour);
  const at = (moment: number) => `${(Math.min(Math.max((moment - from) / (to - from), 0), 1) * 100).toFixed(3)}%`;
  const wide = (a: number, b: number) => `${((Math.max(0, Math.min(b, to) - Math.max(a, from)) / (to - from)) * 100).toFixed(3)}%`;
  const time = (moment: number) => wallTime(moment, zone).time;
  const hours = Array.from({ length: (to - from) / hour + 1 }, (_, index) => from + index * hour);
  const said = bars.map((bar) => `${time(bar.from)} to ${time(bar.to)} ${words[bar.what]} ${bar.label}`.trim()).join(', ');
  return (
    <div className="timeline" role="img" aria-label={`${said}. At the lab ${time(day.handOver)}.`}>
      <div className="timeline-bars">
        {bars.map((bar) => (
          <span key={bar.from} className={`timeline-${bar.what}`} style={{ left: at(bar.from), width: wide(bar.from, bar.to) }}>
            {bar.what === 'work' ? <b>{bar.label}</b> : null}
          </span>
        ))}
      </div>
      <div className="timeline-lab">
        {problem.intake.map((span) => (
          <span key={span.from} style={{ left: at(span.from), width: wide(span.from, span.to) }} />
        ))}
        <i style={{ left: at(day.handOver) }} />
      </div>
      <div className="timeline-hours">
        {hours.map((moment) => (
          <span key={moment} style={{ left: at(moment) }}>
            {time(moment).slice(0, 2)}
          </span>
        ))}
      </div>
    </div>
  );
}

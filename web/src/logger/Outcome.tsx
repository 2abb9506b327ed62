import type { LoggerAnswer } from '@fonte/core/logger';
import { showDate, wallTime } from '@fonte/core/time';
import { show, fromBase, unitLabel } from '@fonte/core/units';
import type { ReactNode } from 'react';
import { DataTable } from '../feedback/DataTable.tsx';
import { Findings } from '../findings/Findings.tsx';
import { Course } from '../time/Course.tsx';
import { siteZone, showTime } from '../time/show.ts';
import { useUnitSystem } from '../units/system.ts';
import { Unread } from './Unread.tsx';

const count = (n: number) => n.toLocaleString('en');

/** Levels that come out of a record of a logger: drawn, with the levels by hand that hold them, and what was left out. */
export function Outcome({ answer, act }: { answer: LoggerAnswer; act?: (tie: { at: number; isUsed: boolean }) => ReactNode }) {
  const {
    units: {
      depth: [unit],
    },
  } = useUnitSystem();
  const zone = siteZone();
  const { held, left, times, depths } = answer;
  const { noAir, outOfWater, outside } = left;
  const leftOut = [
    noAir > 0 && `${count(noAir)} without a pressure of the air within an hour`,
    outOfWater > 0 && `${count(outOfWater)} while it hung in the air`,
    outside > 0 && `${count(outside)} before or after it hung there`,
  ].filter(Boolean);
  const fine = unit === 'ft' ? 'ft' : 'mm';
  return (
    <section className="stack" aria-label="Levels of the logger">
      <Findings of={answer.findings} />
      {times.length > 1 && (
        <Course
          says={`${count(answer.levels)} levels of the logger, between ${show(Math.min(...depths), unit, 2)} and ${show(Math.max(...depths), unit, 2)} below the mark`}
          times={times}
          values={depths.map((depth) => fromBase(depth, unit))}
          marks={(held?.ties ?? []).map(({ at, depth }) => ({ at, value: fromBase(depth, unit) }))}
          axis={`Depth, ${unitLabel(unit)}`}
          isReversed
          height={260}
          zone={zone}
        />
      )}
      {times.length > 1 && <p className="soft small">The line is the logger’s, the marks are levels by hand.</p>}
      {held && (
        <p>
          The sensor hangs <span className="strong">{show(held.hangs, unit, 3)}</span> below the mark
          {held.perDay === 0
            ? ', all the time.'
            : `, and moves ${show(Math.abs(held.perDay) * 30, fine, fine === 'mm' ? 1 : 3)} ${held.perDay > 0 ? 'down' : 'up'} in 30 days.`}
        </p>
      )}
      {held && held.ties.length > 0 && (
        <DataTable
          label="Levels by hand beside it"
          rows={held.ties}
          rowKey={({ at }) => String(at)}
          columns={[
            { title: 'By hand on', render: ({ at }) => `${showDate(wallTime(at, zone).date)}, ${showTime(at, zone)}` },
            { title: 'Depth', isNumber: true, render: ({ depth }) => show(depth, unit, 3) },
            { title: 'Over the sensor', isNumber: true, render: ({ head }) => show(head, unit, 3) },
            { title: 'Off the line', isNumber: true, render: ({ off }) => show(off, fine, fine === 'mm' ? 0 : 3) },
            {
              title: 'Holds it',
              render: ({ isUsed, why }) => (isUsed ? 'yes' : why === 'moves' ? 'no: the water was moving' : 'no: left out'),
            },
            ...(act ? [{ title: 'Change', render: act }] : []),
          ]}
        />
      )}
      <Unread of="Water" {...answer.water} />
      {answer.air && <Unread of="Air" {...answer.air} />}
      {leftOut.length > 0 && <p className="small">Of the readings are left out: {leftOut.join('; ')}.</p>}
    </section>
  );
}

import type { Finding } from '../findings/index.ts';
import type { LevelOfRecord } from '../level/index.ts';
import type { LoggerRecord } from '../registers/index.ts';
import { hour } from '../time/index.ts';
import { between } from './between.ts';
import { clocksApart } from './clocks.ts';
import { headOver } from './head.ts';
import { heldTo, type Held } from './held.ts';
import type { Recorded } from './reading/read.ts';

/** Air pressures further apart in time than this are not joined, in ms. Common practice: weather moves a millibar or so in it. */
const airGap = 2 * hour;
/** Less water over the sensor than this, in m: it hangs in the air. */
const dryHead = 0.01;

/** Levels of a well as a logger recorded them, and what was left out on the way. */
export interface LoggerLevels {
  /** ms since 1970 in UTC, and m below the mark. */
  times: Float64Array;
  depths: Float64Array;
  held: Held | null;
  left: { noAir: number; outOfWater: number; outside: number };
  findings: Finding[];
}

/**
 * Depths below the mark from what a logger recorded: the pressure of the air taken off where it has no vent, the rest turned into metres of
 * water, and these held to the levels that were read by hand.
 *
 * @param manual the levels of the record of the well
 */
export function loggerLevels(record: LoggerRecord, water: Recorded, air: Recorded | null, manual: readonly LevelOfRecord[]): LoggerLevels {
  const [from, to] = [record.from ? Date.parse(record.from) : -Infinity, record.to ? Date.parse(record.to) : Infinity];
  const left = { noAir: 0, outOfWater: 0, outside: 0 };
  const airAt = air && between(air, airGap);
  const times = new Float64Array(water.times.length);
  const heads = new Float64Array(water.times.length);
  let size = 0;
  let above = 0;
  for (let i = 0; i < water.times.length; i++) {
    const at = water.times[i]!;
    if (at < from || at > to) {
      left.outside += 1;
      continue;
    }
    const pressure = airAt ? airAt(at) : 0;
    if (Number.isNaN(pressure)) {
      left.noAir += 1;
      continue;
    }
    const head = headOf(record, water.values[i]!, pressure);
    if (head < 0 && airAt) above += 1;
    if (record.shows !== 'depth' && head < dryHead) {
      left.outOfWater += 1;
      continue;
    }
    times[size] = at;
    heads[size++] = head;
  }
  const series = { times: times.slice(0, size), values: heads.slice(0, size) };
  const held = heldTo(series, record, manual);
  const findings: Finding[] = [
    ...(air && above > water.times.length / 2 ? [{ code: 'less-than-air', severity: 'stop', field: 'air' } as const] : []),
    ...(air ? clocksApart(water, air) : []),
    ...turnedBack('water', water),
    ...(air ? turnedBack('air', air) : []),
    ...heldFindings(held, record),
  ];
  if (size === 0) findings.push({ code: 'no-levels', severity: 'stop', field: 'water' });
  const hangs = held ? (at: number) => held.hangs + held.perDay * ((at - held.at) / 86_400_000) : null;
  const depths = hangs ? series.values.map((head, place) => hangs(series.times[place]!) - head) : new Float64Array(0);
  return { times: hangs ? series.times : new Float64Array(0), depths, held, left, findings };
}

/** Metres of water over the sensor. A depth is one of them that counts downwards. */
function headOf({ shows, density }: LoggerRecord, value: number, air: number): number {
  if (shows === 'depth') return -value;
  return shows === 'head' ? value : headOver(value, air, density);
}

function turnedBack(field: 'water' | 'air', { back }: Recorded): Finding[] {
  return back ? [{ code: 'time-goes-back', severity: 'question', field, data: { count: back.count, line: back.line, of: field } }] : [];
}

/** Levels by hand further off the line than this, in m, are asked about; and a sensor that moved by more in all. Common practice. */
const mayBeOff = 0.02;
const mayDrift = 0.05;

function heldFindings(held: Held | null, { line, hangs }: LoggerRecord): Finding[] {
  if (!held) return [{ code: 'held-by-nothing', severity: 'stop', field: 'hangs' }];
  const findings: Finding[] = [];
  const used = held.ties.filter(({ isUsed }) => isUsed);
  if (line === 'line' && used.length < 2) findings.push({ code: 'no-line', severity: 'stop', field: 'line', data: { ties: used.length } });
  for (const { at, off } of used)
    if (Math.abs(off) > mayBeOff) findings.push({ code: 'tie-off', severity: 'question', field: 'line', data: { at, off } });
  const moved = used.length > 1 ? held.perDay * ((used.at(-1)!.at - used[0]!.at) / 86_400_000) : 0;
  if (Math.abs(moved) > mayDrift) findings.push({ code: 'drifts', severity: 'question', field: 'line', data: { moved } });
  if (hangs !== undefined && used.length > 0 && Math.abs(hangs - held.hangs) > mayDrift)
    findings.push({ code: 'hangs-elsewhere', severity: 'question', field: 'hangs', data: { by: held.hangs - hangs } });
  return findings;
}

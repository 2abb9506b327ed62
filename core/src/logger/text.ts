import type { LoggerLevels } from './levels.ts';

/** All levels as CSV: time in UTC, depth below the mark and, where that of the mark is known, elevation; m with millimetres. */
export function loggerText({ times, depths }: LoggerLevels, elevation: number | null): string {
  const rows = [elevation === null ? 'time_utc,depth_m' : 'time_utc,depth_m,elevation_m'];
  for (let i = 0; i < times.length; i++) {
    const at = new Date(times[i]!).toISOString().slice(0, 19);
    const depth = depths[i]!;
    rows.push(elevation === null ? `${at}Z,${depth.toFixed(3)}` : `${at}Z,${depth.toFixed(3)},${(elevation - depth).toFixed(3)}`);
  }
  return `${rows.join('\n')}\n`;
}

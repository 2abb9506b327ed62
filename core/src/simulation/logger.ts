import { day, hour, minute } from '../time/index.ts';
import { normal } from './noise.ts';

/** What a simulated logger hung in, and how. */
export interface LoggerHung {
  /** ms since 1970 in UTC. */
  from: number;
  to: number;
  /** ms. */
  step: number;
  /** Depth of its sensor below the mark, in m. */
  hangs: number;
  /** m in 30 days by which its zero drifts: what it shows grows by it. */
  drift: number;
  seed: number;
}

const density = 999.7;
const gravity = 9.80665;

/** Air pressure in Pa: weather of some days and of some hours, and the two tides of a day (about 1 hPa; common practice). */
function airAt(at: number, seed: number): number {
  const days = at / day;
  const phase = (place: number) => 2 * Math.PI * (normal(seed, 900_000 + place) % 1);
  return (
    100_900 +
    620 * Math.sin((2 * Math.PI * days) / 7.3 + phase(1)) +
    430 * Math.sin((2 * Math.PI * days) / 3.1 + phase(2)) +
    190 * Math.sin((2 * Math.PI * days) / 0.83 + phase(3)) +
    90 * Math.sin(4 * Math.PI * days)
  );
}

/** The level between those that were read by hand: straight from one to the next, with the small waves of a day. */
function depthAt(at: number, hand: readonly { at: number; depth: number }[]): number {
  const after = hand.findIndex((one) => one.at > at);
  const [low, high] = after < 0 ? [hand.at(-1)!, hand.at(-1)!] : [hand[Math.max(0, after - 1)]!, hand[after]!];
  const part = high.at > low.at ? Math.min(1, Math.max(0, (at - low.at) / (high.at - low.at))) : 0;
  return low.depth + (high.depth - low.depth) * part + 0.003 * Math.sin((2 * Math.PI * at) / (0.52 * day));
}

const two = (value: number) => String(value).padStart(2, '0');
const decimal = (value: number, digits: number) => value.toFixed(digits).replace('.', ',');

/** The files that a simulated logger without a vent, and one in the air beside it, would be read out as. Their clocks stand at UTC. */
export function readOutLogger(
  { from, to, step, hangs, drift, seed }: LoggerHung,
  hand: readonly { at: number; depth: number }[],
): { water: string; air: string } {
  const water = ['Simulated logger', `Interval;${step / minute} min`, '', 'Date;Time;Absolute pressure [kPa];Water temperature [°C]'];
  const air = ['Simulated logger in the air', '', 'Date;Time;Air pressure [hPa]'];
  for (let at = from, place = 0; at <= to; at += step, place++) {
    const moment = new Date(at);
    const stamp = `${two(moment.getUTCDate())}.${two(moment.getUTCMonth() + 1)}.${moment.getUTCFullYear()};${two(moment.getUTCHours())}:${two(moment.getUTCMinutes())}:00`;
    const pressure = airAt(at, seed);
    const head = hangs - depthAt(at, hand) + (drift * (at - from)) / (30 * day) + 0.001 * normal(seed, place);
    water.push(
      `${stamp};${decimal((pressure + head * density * gravity) / 1000, 3)};${decimal(11.4 + 0.3 * Math.sin(at / (40 * day)), 1)}`,
    );
    if (moment.getUTCMinutes() === 0 || step > hour) air.push(`${stamp};${decimal(pressure / 100, 1)}`);
  }
  return { water: `${water.join('\n')}\n`, air: `${air.join('\n')}\n` };
}

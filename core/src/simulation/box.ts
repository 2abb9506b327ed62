import { hour, minute } from '../time/index.ts';
import { normal } from './noise.ts';

/** ms from reading to reading. */
const step = 5 * minute;
/** Part of an hour in which a box comes two thirds nearer to what its ice makes of it. */
const lag = 0.4;

/**
 * The file of a simulated logger that rode in a box with ice: warm as it was closed, soon cold, open for a moment when bottles come in, and
 * warmer again once the ice is gone. Its clock stands at UTC.
 *
 * @param opened moments at which it was open (ms)
 */
export function readOutBox({ from, to, opened, seed }: { from: number; to: number; opened: readonly number[]; seed: number }): string {
  const rows = ['Simulated logger in a box', '', 'Date,Temperature [°C]'];
  const start = Math.floor(from / step) * step;
  for (let at = start, place = 0; at <= to; at += step, place++) {
    const isCold = Math.exp(-(at - start) / (lag * hour));
    const isOpen = opened.filter((one) => one <= at).reduce((sum, one) => sum + 3 * Math.exp(-(at - one) / (lag * hour)), 0);
    const melted = Math.max(0, at - start - 5 * hour) / hour;
    const value = 3.6 + 14 * isCold + Math.min(9, isOpen) + 1.8 * melted + 0.1 * normal(seed, place);
    rows.push(`${new Date(at).toISOString().slice(0, 16).replace('T', ' ')},${value.toFixed(1)}`);
  }
  return `${rows.join('\n')}\n`;
}

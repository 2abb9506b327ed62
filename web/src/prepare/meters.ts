import { checkRow, unitOf, type CheckId } from '@fonte/core/prepare';
import { parameter } from '@fonte/core/parameters';
import { fromBase, base, type Typed } from '@fonte/core/units';

/** An instrument that can be asked for what it reads. */
export interface Meter {
  /** What it reads when it stands in a standard of this value, or in nothing where the check says so. */
  read: (check: CheckId, nominal: Typed | null, at: number) => Promise<Typed>;
}

/** How far the made-up instruments are off, and how restless they are, as parts of the value and in the parameter's own unit. */
const character: Partial<Record<string, { off: number; noise: number }>> = {
  freeChlorine: { off: -0.02, noise: 0.01 },
  ph: { off: 0.005, noise: 0.02 },
  conductivity: { off: -0.03, noise: 3 },
  oxygen: { off: 0.01, noise: 0.05 },
  redox: { off: 0.01, noise: 2 },
  turbidity: { off: 0.02, noise: 0.02 },
  temperature: { off: 0, noise: 0.1 },
};

/** The demo's instrument: always a little off, never twice the same, and the same at the same second. */
export const simulatedMeter: Meter = {
  read: (check, nominal, at) => {
    const { parameter: of, nominal: fixed } = checkRow(check);
    const unit = unitOf(check)!;
    const should = fixed ?? (nominal ? fromBase(base(nominal), unit) : 0);
    const { off, noise } = character[of!] ?? { off: 0, noise: 0 };
    const restless = Math.sin(at / 1000) * noise;
    const value = Math.max(of === 'redox' ? -Infinity : 0, should * (1 + off) + restless);
    return Promise.resolve({ text: value.toFixed(parameter(of!).decimals), unit });
  },
};

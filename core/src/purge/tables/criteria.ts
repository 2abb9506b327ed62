import { shelf } from '../../editions/index.ts';
import type { Criterion } from '../stability/criterion.ts';
import { criteria2026third } from './criteria-2026-3.ts';
import { criteria2026fourth } from './criteria-2026-4.ts';

const first = { edition: '2026-1', from: '2020-01-01' };

/**
 * Published stability criteria. The texts say little about what a tolerance is measured against; `against` states the
 * reading chosen here, per source.
 */
const released: readonly Criterion[] = [
  {
    id: 'epa-1996',
    ...first,
    name: 'US EPA 1996, three sets',
    sets: 3,
    against: 'previous',
    tolerances: [
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 3 },
      { parameter: 'redox', absolute: 10 },
      { parameter: 'oxygen', percent: 10 },
      { parameter: 'turbidity', percent: 10 },
    ],
    source: 'EPA/540/S-95/504 (1996): three successive readings; read here as each set against the one before',
  },
  {
    id: 'epa-region1-2017',
    ...first,
    name: 'US EPA Region 1 2017, three sets',
    sets: 3,
    against: 'previous',
    tolerances: [
      { parameter: 'temperature', percent: 3 },
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 3 },
      { parameter: 'redox', absolute: 10 },
      { parameter: 'oxygen', percent: 10, floor: 0.5 },
      { parameter: 'turbidity', percent: 10, floor: 5 },
    ],
    source: 'US EPA Region 1 low-flow procedure, rev. 4 (2017), from memory; each set against the one before',
  },
  {
    id: 'usgs-nfm',
    ...first,
    name: 'USGS field manual, five sets',
    sets: 5,
    against: 'median',
    tolerances: [
      { parameter: 'temperature', absolute: 0.2 },
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 5 },
      { parameter: 'oxygen', absolute: 0.3 },
      { parameter: 'turbidity', percent: 10, floor: 5 },
    ],
    source: 'USGS National Field Manual, ch. A4 and A6, five sets against their median; figures from memory',
  },
  {
    id: 'two-sets',
    ...first,
    name: 'Two sets agree',
    sets: 2,
    against: 'previous',
    tolerances: [
      { parameter: 'temperature', absolute: 0.2 },
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'oxygen', percent: 5 },
    ],
    source: 'Common practice; each set against the one before',
  },
];

const named = (id: string) => released.find((one) => one.id === id)!;
const second = { edition: '2026-2' };
/** Sets three to five minutes apart: what the low-flow procedures and the field manual ask for. */
const minutes3 = 180;

/**
 * As before, with the time between sets; conductivity by the cases of the field manual, and no floor that it does not have. The texts
 * are named by edition and place from memory.
 */
const released2: readonly Criterion[] = [
  { ...named('epa-1996'), ...second, apart: minutes3 },
  {
    ...named('epa-region1-2017'),
    ...second,
    apart: minutes3,
    source:
      'US EPA Region 1, Low stress (low flow) purging and sampling, EQASOP-GW4, rev. 4 (2017); read here as each set against the one before',
  },
  {
    ...named('usgs-nfm'),
    ...second,
    apart: minutes3,
    tolerances: [
      { parameter: 'temperature', absolute: 0.2 },
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 3, small: { most: 100, percent: 5 } },
      { parameter: 'oxygen', absolute: 0.3 },
      { parameter: 'turbidity', percent: 10 },
    ],
    source: 'USGS National Field Manual, ch. A4 and A6.0, table 6.0-1: five sets, read here against their median',
  },
  { ...named('two-sets'), ...second, apart: 60 },
];

export const criteria = shelf([...released, ...released2, ...criteria2026third, ...criteria2026fourth]);

import type { Criterion } from '../stability/criterion.ts';

const third = { edition: '2026-3', from: '2020-01-01' };

/** Steps that no probe is coarser than: what such a meter shows as its first step it cannot tell from nothing. Common practice. */
const blind = { oxygen: 0.1, turbidity: 0.1, conductivity: 1 };
/** Low-flow procedures and the field manual read every three to five minutes. */
const every3min = { seconds: 180 };

/**
 * As before, with what has to lie between two sets that count, and with what a meter cannot tell from nothing. The texts say little about
 * what a tolerance is held against: each source states the reading chosen here.
 */
export const criteria2026third: readonly Criterion[] = [
  {
    id: 'epa-1996',
    ...third,
    name: 'US EPA 1996, three sets',
    sets: 3,
    against: 'previous',
    between: every3min,
    tolerances: [
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 3, blind: blind.conductivity },
      { parameter: 'redox', absolute: 10 },
      { parameter: 'oxygen', percent: 10, blind: blind.oxygen },
      { parameter: 'turbidity', percent: 10, blind: blind.turbidity },
    ],
    source: 'EPA/540/S-95/504 (1996): three successive readings; read here as each set against the one before',
  },
  {
    id: 'epa-region1-2017',
    ...third,
    name: 'US EPA Region 1 2017, three sets',
    sets: 3,
    against: 'previous',
    between: every3min,
    tolerances: [
      { parameter: 'temperature', percent: 3 },
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 3, blind: blind.conductivity },
      { parameter: 'redox', absolute: 10 },
      { parameter: 'oxygen', percent: 10, floor: 0.5 },
      { parameter: 'turbidity', percent: 10, floor: 5 },
    ],
    source:
      'US EPA Region 1, Low stress (low flow) purging and sampling, EQASOP-GW4, rev. 4 (2017); read here as each set against the one before',
  },
  {
    id: 'epa-region4',
    ...third,
    name: 'US EPA Region 4, three sets',
    sets: 3,
    against: 'spread',
    between: { seconds: 300, volumes: 1 },
    tolerances: [
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 5, blind: blind.conductivity },
      { parameter: 'oxygen', absolute: 0.2, percent: 10 },
      { parameter: 'turbidity', percent: 10, floor: 10 },
    ],
    source:
      'US EPA Region 4, Groundwater sampling, LSASDPROC-301 (figures from memory): three successive readings within their range of one another; oxygen by the larger of two figures; clear at or below 10 NTU',
  },
  {
    id: 'usgs-nfm',
    ...third,
    name: 'USGS field manual, five sets',
    sets: 5,
    against: 'median',
    between: every3min,
    tolerances: [
      { parameter: 'temperature', absolute: 0.2 },
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 3, blind: blind.conductivity, cases: [{ most: 100, percent: 5 }] },
      { parameter: 'oxygen', absolute: 0.3, cases: [{ most: 1, absolute: 0.2 }] },
      { parameter: 'turbidity', percent: 10, blind: blind.turbidity, cases: [{ most: 5, absolute: 0.5 }] },
    ],
    source:
      'USGS National Field Manual, ch. A4 and A6.0, table 6.0-1 (cases of oxygen and turbidity from memory): five sets, read here against their median',
  },
  {
    id: 'nems-groundwater',
    ...third,
    name: 'New Zealand NEMS, three sets',
    sets: 3,
    against: 'spread',
    between: every3min,
    tolerances: [
      { parameter: 'temperature', absolute: 0.2 },
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 3, blind: blind.conductivity },
      { parameter: 'oxygen', absolute: 0.3 },
    ],
    source:
      'National Environmental Monitoring Standards, Water Quality part 1, Groundwater (2019; figures from memory): three readings within their range of one another',
  },
  {
    id: 'iso-5667-11',
    ...third,
    name: 'ISO 5667-11, three sets',
    sets: 3,
    against: 'spread',
    between: every3min,
    tolerances: [
      { parameter: 'temperature', absolute: 0.2 },
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'conductivity', percent: 5, blind: blind.conductivity },
    ],
    source:
      'ISO 5667-11:2009 (figures from memory; the standard asks for constant readings): three readings within their range of one another',
  },
  {
    id: 'two-sets',
    ...third,
    name: 'Two sets agree',
    sets: 2,
    against: 'previous',
    between: { seconds: 60 },
    tolerances: [
      { parameter: 'temperature', absolute: 0.2 },
      { parameter: 'ph', absolute: 0.1 },
      { parameter: 'oxygen', percent: 5, blind: blind.oxygen },
    ],
    source: 'Common practice; each set against the one before',
  },
];

import type { ParameterId } from '../../parameters/index.ts';

/** What is judged as the average of a year at each place, and the substances that it is the sum of. */
export interface AveragedRow {
  parameter: ParameterId;
  name: string;
  parts: readonly ParameterId[];
  /** The operational evaluation level is worked out for it. */
  isByProduct?: true;
}

/** 40 CFR 141.620 (by-products) and 141.902 (PFAS): a number under what the lab can tell counts as 0 (from memory). */
export const averaged: readonly AveragedRow[] = [
  {
    parameter: 'trihalomethanes',
    name: 'Trihalomethanes',
    parts: ['chloroform', 'bromodichloromethane', 'dibromochloromethane', 'bromoform'],
    isByProduct: true,
  },
  {
    parameter: 'haloaceticAcids',
    name: 'Haloacetic acids',
    parts: ['monochloroaceticAcid', 'dichloroaceticAcid', 'trichloroaceticAcid', 'monobromoaceticAcid', 'dibromoaceticAcid'],
    isByProduct: true,
  },
  ...(['pfoa', 'pfos', 'pfhxs', 'pfna', 'hfpoDa'] as const).map((id) => ({ parameter: id, name: id.toUpperCase(), parts: [id] })),
];

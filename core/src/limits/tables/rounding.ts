import { perPart, type ParameterId } from '../../parameters/index.ts';

/** With how many decimals a text prints its value, in the unit of the row, where the number alone does not say it: 0.010, and not 0.01. */
export interface PrintedDecimals {
  decimals: number;
  /** What takes the printed value to the one of the row, where the text gives it as another form: 10 mg/L as nitrogen. */
  times?: number;
  basis?: string;
}

/**
 * The texts by which a result is rounded to the decimals of the value before it is compared for compliance, by how their rows' places begin.
 * Common practice of the federal programme of the United States (the agency's Water Supply Guidance 20, from memory).
 */
export const roundedTexts: readonly { place: string; printed: Readonly<Partial<Record<ParameterId, PrintedDecimals>>> }[] = [
  {
    place: '40 CFR 141.',
    printed: {
      arsenic: { decimals: 3 },
      bromate: { decimals: 3 },
      trihalomethanes: { decimals: 3 },
      haloaceticAcids: { decimals: 3 },
      chlorite: { decimals: 1 },
      fluoride: { decimals: 1 },
      totalChlorine: { decimals: 1 },
      freeChlorine: { decimals: 1 },
      monochloramine: { decimals: 1 },
      pfoa: { decimals: 1 },
      pfos: { decimals: 1 },
      nitrate: { decimals: 0, times: perPart('NO3', 'N'), basis: 'as N' },
      nitrite: { decimals: 0, times: perPart('NO2', 'N'), basis: 'as N' },
    },
  },
];

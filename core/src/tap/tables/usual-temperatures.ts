import type { AnalysisId } from '../../bottles/index.ts';

/** Between what water of a kind usually is at an outlet or in a tank, in °C; outside of it the kind or the reading is asked about. */
export interface UsualTemperature {
  least: number;
  most: number;
  says: string;
}

/**
 * By the answer to “Which water comes out of it?”. After a minute hot water is over 50 °C and cold water under 20 °C after two, as HSG274
 * Part 2 has it (from memory); what is a good way off is asked about.
 */
export const usualByWater: Readonly<Record<string, UsualTemperature>> = {
  hot: { least: 40, most: 75, says: 'Hot water is usually 50 to 60 °C after a minute. Is it the hot tap, and did it run?' },
  cold: { least: 3, most: 25, says: 'Cold water is usually under 20 °C after two minutes. Is it the cold tap, and did it run?' },
  mixed: { least: 20, most: 65, says: 'Mixed water is usually 35 to 45 °C. Is the valve turned to hot?' },
};

/** Where water of any temperature is sampled, as in tanks: by the analysis. */
export const usualByAnalysis: Partial<Readonly<Record<AnalysisId, UsualTemperature>>> = {
  legionella: { least: 3, most: 75, says: 'Water in a tank is usually 5 to 70 °C.' },
};

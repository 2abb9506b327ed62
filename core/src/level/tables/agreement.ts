/**
 * How close two readings have to be, by the unit they were read in. 0.01 ft: USGS TM 1-A1 (2011), GWPD 4 (repeat until
 * readings agree; the figure from memory). 5 mm: the metric counterpart on tapes marked in millimetres, common practice.
 */
export const agreementTolerance = { metric: 0.005, feet: 0.01 * 0.3048 } as const;

/**
 * How far a level may move between visits before it is asked about: 0.30 m, or one and a half times the largest step
 * the record shows between two visits, whichever is more. Common practice.
 */
export const jump = { least: 0.3, timesLargestStep: 1.5 } as const;

/**
 * Hours from receipt until a result may be asked for, by family of bottle, where the lab has not said; the last stands for the rest.
 * Common practice: E. coli and coliforms grow for 18 to 24 h and are confirmed the day after, Legionella for 7 to 10 days.
 */
export const usualReportAfter: Readonly<Record<string, number>> = { bacteria: 48, legionella: 288 };
export const otherReportAfter = 336;

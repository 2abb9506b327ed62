/** The units a depth is typed in. */
export const depthUnits = ['m', 'ft'] as const;

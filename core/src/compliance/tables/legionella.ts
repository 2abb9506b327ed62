/** What a number of Legionella asks for in a kind of system, from a number (CFU in 100 mL) on. */
export interface BandRow {
  over: number;
  name: string;
  asks: string;
}

export interface LegionellaSystem {
  name: string;
  bands: readonly BandRow[];
  source: string;
}

/** Figures from memory. The authority’s and the operator’s own plan come first. */
export const legionellaSystems = {
  building: {
    name: 'Hot and cold water of a building (Germany)',
    bands: [
      { over: -1, name: 'low', asks: 'Nothing beyond the next routine sample.' },
      { over: 99, name: 'medium', asks: 'Technical action value reached: look for the cause, and more samples within four weeks.' },
      { over: 1000, name: 'high', asks: 'Look for the cause at once; short-term measures; more samples.' },
      { over: 10_000, name: 'extremely high', asks: 'Avert danger at once: no showers; disinfect; more samples after a week.' },
    ],
    source: 'DVGW W 551 (2004), tables 1a and 1b; TrinkwV 2023: technical action value 100 in 100 mL',
  },
  guide: {
    name: 'Hot and cold water of a building (Great Britain)',
    bands: [
      { over: -1, name: 'under control', asks: 'Go on as planned.' },
      { over: 10, name: 'to be reviewed', asks: 'Sample again; where several are positive review control measures and risk.' },
      { over: 100, name: 'high', asks: 'Sample again, review control measures and risk at once; disinfection may be needed.' },
    ],
    source: 'HSE, HSG274 Part 2 (2014), table 2.3: over 100 and over 1000 per litre',
  },
  tower: {
    name: 'Cooling tower (Great Britain)',
    bands: [
      { over: -1, name: 'under control', asks: 'Go on as planned.' },
      { over: 10, name: 'to be reviewed', asks: 'Sample again; review control measures and risk.' },
      { over: 100, name: 'high', asks: 'Disinfect at once, then sample; review control measures and risk.' },
    ],
    source: 'HSE, HSG274 Part 1 (2013), table 1.9: over 100 and over 1000 per litre',
  },
} as const satisfies Record<string, LegionellaSystem>;
export type LegionellaSystemId = keyof typeof legionellaSystems;

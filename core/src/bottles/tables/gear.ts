import type { SampleKind } from '../stage.ts';

/** Something about the gear, the clothes or the day that a bottle asks for. */
export interface GearRow {
  /** What must be so, as it is asked. */
  ask: string;
  /** What a “no” does to the sample, in words. */
  no: string;
  /** What it makes of the sample; `noted` leaves it what it is. */
  makes: Exclude<SampleKind, 'routine'> | 'noted';
  /** What to do about it. */
  instead: string;
  source: string;
}

const pfas = 'EPA Methods 533 and 537.1, sampling; common practice of PFAS sampling guides (from memory)';
const practice = 'Common practice';

/** What spoils a sample before a bottle is opened. Asked when the kit is packed, and on arrival where it can change. */
export const gear = {
  'pfas-clothes': {
    ask: 'Clothes and boots without water-repellent finish, washed often, without fabric softener',
    no: 'The finish gives off what the lab looks for, at nanograms a litre.',
    makes: 'special',
    instead: 'Change into old cotton clothes; rubber or untreated leather on the feet.',
    source: pfas,
  },
  'pfas-gloves': {
    ask: 'Powder-free nitrile gloves, two pairs for each bottle',
    no: 'Latex and powdered gloves carry PFAS onto cap and rim.',
    makes: 'special',
    instead: 'Take powder-free nitrile.',
    source: pfas,
  },
  'pfas-tubing': {
    ask: 'No fluoropolymer in tubing, tape, pump or bailer: high-density polyethylene or silicone',
    no: 'The water touches the very substance that is measured.',
    makes: 'invalid',
    instead: 'Change the tubing, or leave this sample for another day.',
    source: pfas,
  },
  'pfas-ice': {
    ask: 'Real ice in bags, no gel or chemical packs',
    no: 'Packs leak, and their covers may hold PFAS.',
    makes: 'special',
    instead: 'Buy ice of drinking water on the way; bag it twice.',
    source: pfas,
  },
  'pfas-paper': {
    ask: 'No waxed or waterproof paper, sticky notes or marker pens near the bottles',
    no: 'Coatings rub off onto gloves and bottles.',
    makes: 'special',
    instead: 'Plain paper on a metal board, ball pen.',
    source: pfas,
  },
  'pfas-cream': {
    ask: 'No sun cream, insect repellent or hand cream on the skin today, but such as are known to be free of PFAS',
    no: 'Creams get onto gloves and caps.',
    makes: 'special',
    instead: 'Cover the skin with cloth. Sunburn and bites come first: the employer’s rules hold.',
    source: pfas,
  },
  'pfas-food': {
    ask: 'No wrapped food or drink cups where bottles are opened',
    no: 'Grease-proof wrapping is coated.',
    makes: 'noted',
    instead: 'Eat away from the van, wash hands, new gloves.',
    source: pfas,
  },
  'solvent-free': {
    ask: 'No fuel, solvent, paint or running engine near open bottles',
    no: 'Vapours dissolve into the water and into the blank.',
    makes: 'special',
    instead: 'Park downwind, fuel after sampling, keep the cans in another vehicle.',
    source: practice,
  },
  'no-suction': {
    ask: 'No suction pump and no bailer for this bottle',
    no: 'Suction and falling water strip gases and volatiles: the result is too low.',
    makes: 'special',
    instead: 'A submersible or bladder pump, slowly.',
    source: 'USGS National Field Manual, chapter A4; common practice',
  },
  'no-metal': {
    ask: 'No rusting or galvanised metal above the open bottle, no pencil sharpening, no smoking',
    no: 'Dust of metals falls into bottles that are read in micrograms.',
    makes: 'special',
    instead: 'Move upwind, plastic over the tailgate.',
    source: 'USGS National Field Manual, chapter A4 (clean hands, dirty hands); common practice',
  },
  'sterile-kit': {
    ask: 'Bottles sterile, sealed and in date; disinfectant and clean gloves packed',
    no: 'A bottle that is not sterile proves nothing.',
    makes: 'invalid',
    instead: 'Take other bottles, from the lab.',
    source: 'ISO 19458:2006; common practice',
  },
  'aerosol-kit': {
    ask: 'Mask, hose or bag sleeve against spray packed; nobody with a weak defence does this job',
    no: 'Legionella is breathed in as spray.',
    makes: 'noted',
    instead: 'Do not open hot outlets without it. The employer’s rules come first.',
    source: 'HSG274 part 2; common practice',
  },
  'on-site-fixing': {
    ask: 'Reagents for fixing on site packed, in date, with eye protection',
    no: 'Unfixed, the bottle changes within minutes.',
    makes: 'invalid',
    instead: 'Fetch them, or leave this bottle out.',
    source: practice,
  },
} as const satisfies Record<string, GearRow>;

export type GearId = keyof typeof gear;

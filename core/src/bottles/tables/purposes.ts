/** What a bottle is there for. */
export interface PurposeRow {
  name: string;
  why: string;
  /** What is added to the label's letter; nothing for the sample itself. */
  mark: string;
  /** Whether its results are those of the point's water. */
  isWater: boolean;
  /** The mark of a bottle that goes along only to be poured into this one; null where there is none. */
  supply: string | null;
  /** One bottle is enough, also where the sample takes several. */
  isSingle?: true;
  /** It goes under a made-up point: its lab is not to know. */
  isBlind?: true;
  /** Wherever this other purpose is asked for, it will do. */
  standsFor?: string;
  /** What is done with it on site, where that is another thing than filling it with the point's water. */
  on?: { asks: string; done: string };
}

/**
 * A field blank is two bottles: water supplied by the lab, poured on site into the receiver, which is analysed. Sources: EPA
 * Methods 533 and 537.1 (field reagent blank; from memory); trip and equipment blanks: USGS National Field Manual, chapter A4;
 * duplicates, commonly 1 in 10: common practice.
 */
export const purposes = {
  sample: { name: 'Sample', why: 'The water of the point.', mark: '', isWater: true, supply: null },
  duplicate: {
    name: 'Duplicate',
    why: 'A second bottle of the same water: how well do two agree?',
    mark: 'D',
    isWater: true,
    supply: null,
  },
  'blind-duplicate': {
    name: 'Blind duplicate',
    why: 'A second bottle of the same water under a made-up point: how well do two agree, where the lab does not know?',
    mark: '',
    isWater: true,
    supply: null,
    isBlind: true,
    standsFor: 'duplicate',
  },
  split: {
    name: 'Split',
    why: 'A second bottle of the same water for another lab: how well do two labs agree?',
    mark: 'S',
    isWater: true,
    supply: null,
  },
  'field-blank': {
    name: 'Field blank',
    why: 'Clean water that went along: what comes from the air, the gloves and the bottles?',
    mark: 'FR',
    isWater: false,
    supply: 'FS',
    isSingle: true,
  },
  'trip-blank': {
    name: 'Trip blank',
    why: 'Clean water from the lab that is never opened: what gets in through the cap on the way?',
    mark: 'TB',
    isWater: false,
    supply: null,
    on: {
      asks: 'Never open it. It came full from the lab; look for a bubble, and lay it with the bottles it belongs to.',
      done: 'Closed, in the cooler',
    },
  },
  'equipment-blank': {
    name: 'Equipment blank',
    why: 'Clean water through the cleaned gear: what is left in pump, tubing and filter?',
    mark: 'EB',
    isWater: false,
    supply: null,
    on: {
      asks: 'Clean water of the lab through pump, tubing and filter as they were cleaned, then into this bottle.',
      done: 'Filled and capped',
    },
  },
} as const satisfies Record<string, PurposeRow>;

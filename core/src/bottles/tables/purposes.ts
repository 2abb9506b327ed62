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
}

/**
 * A field blank is two bottles: water supplied by the lab, poured on site into the receiver, which is analysed. Sources: EPA
 * Methods 533 and 537.1 (field reagent blank; from memory); duplicates, commonly 1 in 10: common practice.
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
  'field-blank': {
    name: 'Field blank',
    why: 'Clean water that went along: what comes from the air, the gloves and the bottles?',
    mark: 'FR',
    isWater: false,
    supply: 'FS',
  },
} as const satisfies Record<string, PurposeRow>;

/** Who may hold bottles on their way, and whether a person stands there who signs. */
export interface PartyRow {
  name: string;
  /** What the page asks for its name. */
  asks: string;
  /** Whether somebody signs for it: a place that is locked cannot, and a household has put its bottles out. */
  signs: boolean;
  /** It has bottles before they are passed on, and takes none. */
  isFirst?: true;
}

/** Sampler, courier and dispatcher may be three people; a locked place holds custody over night (common practice). */
export const parties = {
  person: { name: 'A colleague', asks: 'Who takes them', signs: true },
  courier: { name: 'A courier', asks: 'Who takes them', signs: true },
  household: { name: 'A household', asks: 'Whose house', signs: false, isFirst: true },
  place: { name: 'A locked place', asks: 'Which place, and who has the key', signs: false },
  lab: { name: 'The lab', asks: 'To which lab, or whom', signs: true },
} as const satisfies Record<string, PartyRow>;

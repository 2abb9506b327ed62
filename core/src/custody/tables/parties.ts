/** Who may hold bottles on their way, and whether a person stands there who signs. */
export interface PartyRow {
  name: string;
  /** What the page asks for its name. */
  asks: string;
  /** Whether somebody signs for it: a place that is locked cannot. */
  signs: boolean;
}

/** Sampler, courier and dispatcher may be three people; a locked place holds custody over night (common practice). */
export const parties = {
  person: { name: 'A colleague', asks: 'Who takes them', signs: true },
  courier: { name: 'A courier', asks: 'Who takes them', signs: true },
  place: { name: 'A locked place', asks: 'Which place, and who has the key', signs: false },
  lab: { name: 'The lab', asks: 'To which lab, or whom', signs: true },
} as const satisfies Record<string, PartyRow>;

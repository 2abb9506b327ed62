/** The first things of a sort over all rounds, and how many there are. */
export interface Agenda<T> {
  count: number;
  first: { round: string; item: T }[];
}

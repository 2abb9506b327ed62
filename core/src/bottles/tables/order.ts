/** Why a bottle stands where it does in the order of filling: for places up to a number. */
export interface OrderRow {
  upTo: number;
  why: string;
}

/** Low-flow school and common practice; the numbers are those of the rules' `order`. */
export const orderRows: readonly OrderRow[] = [
  { upTo: 0.01, why: 'The very first water: nothing may run by before it.' },
  { upTo: 0.25, why: 'What escapes into the air comes first, before anything stirs the water.' },
  { upTo: 0.35, why: 'Chlorine goes on making them until the powder in the bottle takes it up.' },
  { upTo: 0.49, why: 'Before caps, foil and other bottles are handled: a trace of them would be found.' },
  { upTo: 0.6, why: 'The first water of the outlet holds most of them.' },
  { upTo: 0.95, why: 'Air changes it: the less time the water has, the better.' },
  { upTo: 1.45, why: 'Right after the outlet was disinfected, before anything else touches it.' },
  { upTo: 1.95, why: 'Before the metals: acid of their bottles must not get near.' },
  { upTo: 2.5, why: 'Before iron falls out and takes other metals along.' },
  { upTo: 3.9, why: 'After the metals, with fresh gloves: their nitric acid is nitrate.' },
  { upTo: 4.9, why: 'What is in the bottle keeps it: it can wait for what nothing keeps.' },
  { upTo: Infinity, why: 'Changes least, and is filled last.' },
];

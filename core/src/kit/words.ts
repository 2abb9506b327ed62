import { inBook, type Says } from '../book/index.ts';
import type { Words } from '../findings/index.ts';
import { showDate } from '../time/index.ts';
import { kitGiven, kitPutOut, kitTakenBack, type PickUp } from './entries.ts';

export const sayPickUp = ({ date, from, to, where }: PickUp): string => `${showDate(date)}, ${from} to ${to}: ${where}`;

export const kitWords: Words = {
  'kit-of-one-point': 'A kit is a round with one point: its link would open the others as well.',
  'no-kit': 'This round was given to no household.',
  'put-out-already': 'It was put out already.',
  'kit-filled': 'A bottle is filled: the kit is picked up from the household.',
  'nothing-filled': 'No bottle is filled yet.',
};

/** When and where, and what the household says about it: who drives there has nothing else to read. */
const pickUpOf = ({ note, ...pickUp }: Record<string, string | number>): string =>
  `${sayPickUp(pickUp as unknown as PickUp)}${note ? `. They say: ${note}` : ''}`;

export const kitAsks: Words = {
  'kit-out': (data) => `With ${data.name}, picked up ${pickUpOf(data)}`,
  'kit-soon': (data) => `${data.name} has filled it. Picked up ${pickUpOf(data)}`,
  'pick-up': (data) => `Pick it up at ${data.name}, ${pickUpOf(data)}`,
};

export const kitSays: readonly Says[] = [
  inBook(kitGiven, ({ name, pickUp }) => `To ${name}. Picked up ${sayPickUp(pickUp)}.`),
  inBook(kitPutOut, ({ note }) => `It stands outside.${note ? ` ${note}` : ''}`),
  inBook(kitTakenBack, ({ reason }) => reason),
];

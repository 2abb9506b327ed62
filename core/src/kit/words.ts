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

export const kitAsks: Words = {
  'kit-out': ({ name, date, from }) => `With ${name}, picked up ${showDate(String(date))}, ${from}`,
  'kit-soon': ({ name, date, from }) => `${name} has filled it. Picked up ${showDate(String(date))}, ${from}`,
  'pick-up': ({ name, date, from }) => `Pick it up at ${name}, ${showDate(String(date))}, ${from}`,
};

export const kitSays: readonly Says[] = [
  inBook(kitGiven, ({ name, pickUp }) => `To ${name}. Picked up ${sayPickUp(pickUp)}.`),
  inBook(kitPutOut, ({ note }) => `It stands outside.${note ? ` ${note}` : ''}`),
  inBook(kitTakenBack, ({ reason }) => reason),
];

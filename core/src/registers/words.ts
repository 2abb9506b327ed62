import { inBook, type Says } from '../book/index.ts';
import { labRegistered } from './lab.ts';
import { personRegistered } from './people.ts';
import { pointRegistered } from './point.ts';

export const registerSays: readonly Says[] = [
  inBook(pointRegistered, ({ code, name, place, type, use }) => `${name}, ${code}, ${place}: a ${type} for ${use}.`),
  inBook(labRegistered, ({ name }) => `${name}.`),
  inBook(personRegistered, ({ name, initials, role }) => `${name} (${initials}), ${role}.`),
];

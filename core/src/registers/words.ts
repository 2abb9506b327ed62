import { inBook, type Says } from '../book/index.ts';
import { deviceRegistered } from './device.ts';
import { labRegistered } from './lab.ts';
import { personRegistered } from './people.ts';
import { pointRegistered } from './point.ts';

export const registerSays: readonly Says[] = [
  inBook(pointRegistered, ({ code, name, place, type, use }) => `${name}, ${code}, ${place}: a ${type} for ${use}.`),
  inBook(labRegistered, ({ name }) => `${name}.`),
  inBook(
    personRegistered,
    ({ name, initials, role, left }) => `${name} (${initials}), ${role}${left ? `. Access ended: ${left.reason}` : ''}.`,
  ),
  inBook(
    deviceRegistered,
    ({ name, people, revoked }) =>
      `${name}, ${people.length === 1 ? '1 person' : `${people.length} people`} on it${revoked ? `. Reported lost: ${revoked.reason}` : ''}.`,
  ),
];

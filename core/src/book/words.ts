import type { ChainBreak } from './chain.ts';
import type { Words } from '../findings/index.ts';
import type { Role } from './roles.ts';
import type { Unsound } from './sound.ts';

export const bookWords: Words = {
  'no-such-entry': 'There is no such entry in this book.',
  'other-kind': 'That entry is of another kind.',
  'cannot-be-struck': ({ title }) => `“${title}” cannot be struck.`,
  'only-struck': ({ title }) => `“${title}” can be struck, but nothing can be put in its place.`,
  'no-visit': 'That entry belongs to no point.',
  'newer-version': 'It was written by a newer version of Fonte than this one.',
  circle: 'Two corrections strike each other.',
  'changes-nothing': 'This correction changes nothing.',
};

export const unsoundWords: Record<Unsound['code'], string> = {
  'not-text': 'It holds characters that are no text.',
  'not-a-number': 'Not a finite number.',
  'too-deep': 'It is nested too deep.',
  'too-large': 'It is too large.',
  'not-json': 'Not a value that JSON knows.',
};

export const breakWords: Record<ChainBreak['code'], string> = {
  number: 'a number is missing or doubled',
  'not-chained': 'it is not chained to the entry before',
  altered: 'what it says was changed',
};

export const roleNames: Record<Role, string> = {
  technician: 'Technician',
  coordinator: 'Coordinator',
  reader: 'Reader',
  courier: 'Courier',
  householder: 'Householder',
};

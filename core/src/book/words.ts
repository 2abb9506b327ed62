import type { ChainBreak } from './chain.ts';
import type { Words } from '../findings/index.ts';
import { inBook, type Says } from './says.ts';
import { madeUnreadable } from './unreadable.ts';
import type { SignatureFault } from './signature.ts';
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
  'not-doubted': 'Nobody doubts that entry.',
  'from-household': 'A household wrote it: it counts once somebody has taken it over.',
  'device-revoked': 'It came from a device that was reported lost.',
  'person-left': 'It came from somebody whose access had ended.',
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

export const signatureWords: Record<SignatureFault['code'], string> = {
  forged: 'its signature is not that of the device',
  'unknown-device': 'nothing is known of the device that signed it',
  'other-key': 'it is signed by another key than the device’s',
  'not-signed-in': 'its author was never signed in on that device',
  unsigned: 'it has no signature, where others of the book have one',
};

export const bookSays: readonly Says[] = [
  inBook(madeUnreadable, ({ entries, why }) => `${entries.length === 1 ? '1 entry' : `${entries.length} entries`}: ${why}.`),
];

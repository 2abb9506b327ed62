import { inBook, type Says } from '../book/index.ts';
import { accessNoted, type AccessEvent } from './entries.ts';

export const accessEventNames: Record<AccessEvent, string> = {
  'set-up': 'Let in first, with the set-up code',
  invited: 'Invited',
  joined: 'Came in by a link',
  'signed-in': 'Signed in',
  'sign-in-failed': 'Was not let in',
  'signed-out': 'Signed out',
  proven: 'Proved again who they are',
  'person-changed': 'Went on by PIN',
  'passphrase-changed': 'Changed the passphrase',
  'passkey-added': 'Added a passkey',
  'passkey-removed': 'Took a passkey away',
  'device-added': 'Signed in on a device for the first time',
  'device-revoked': 'Device reported lost',
  'access-ended': 'Access ended',
  'made-unreadable': 'Name replaced by initials',
};

export const accessSays: readonly Says[] = [inBook(accessNoted, ({ event, how }) => `${accessEventNames[event]}${how ? `: ${how}` : ''}.`)];

import { fault } from '../arrive/index.ts';
import { inBook, type Says } from '../book/index.ts';
import { pointScouted } from './entries.ts';

/** What was seen, as sentences; the pictures beside it say the rest. */
export const sayScouted = ({
  outlet,
  found,
  note,
}: Pick<(typeof pointScouted)['payload']['_output'], 'outlet' | 'found' | 'note'>): string[] => [
  ...(outlet ? [`Used last time: ${outlet}`] : []),
  ...found.map((id) => fault(id).seen),
  ...(note ? [note] : []),
];

export const scoutSays: readonly Says[] = [
  inBook(pointScouted, (seen) =>
    [
      ...sayScouted(seen),
      ...(seen.pictures.length > 0 ? [`${seen.pictures.length} ${seen.pictures.length === 1 ? 'picture' : 'pictures'}`] : []),
    ].join('. '),
  ),
];

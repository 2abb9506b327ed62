import { inBook, type Says } from '../book/index.ts';
import { dueSays } from '../due/index.ts';
import type { FindingWords } from '../findings/index.ts';
import { show } from '../units/index.ts';
import { pointKind, pointRegistered } from './point.ts';
import { criterionRegistered } from './criterion.ts';
import { deviceRegistered } from './device.ts';
import { boxRegistered, instrumentKind, instrumentRegistered, lotRegistered } from './gear.ts';
import { labRegistered } from './lab.ts';
import { limitSetRegistered } from './limit-set.ts';
import { loggerRegistered } from './logger.ts';
import { reportBrought } from './brought.ts';
import { personRegistered } from './people.ts';

export const registerSays: readonly Says[] = [
  ...dueSays,
  inBook(
    pointRegistered,
    ({ code, name, place, kind, use, outOfUse }) =>
      `${name}, ${code}, ${place}. ${pointKind(kind).name}, ${use}.${outOfUse ? ` Out of use: ${outOfUse.reason}` : ''}`,
  ),
  inBook(labRegistered, ({ name }) => `${name}.`),
  inBook(
    instrumentRegistered,
    ({ name, kind, serial, outOfUse }) =>
      `${name}, ${instrumentKind(kind).name}${serial ? `, serial ${serial}` : ''}.${outOfUse ? ` Out of use: ${outOfUse}` : ''}`,
  ),
  inBook(lotRegistered, ({ name, lot, expires }) => `${name}, lot ${lot}, until ${expires}.`),
  inBook(boxRegistered, ({ name, holds, vehicle }) => `${name}, ${show(holds, 'L', 0)}${vehicle ? `, in ${vehicle}` : ''}.`),
  inBook(criterionRegistered, ({ name, sets, source }) => `${name}: ${sets} sets. ${source}.`),
  inBook(limitSetRegistered, ({ name, rows, base, source }) => {
    const values = rows.length === 1 ? '1 value' : `${rows.length} values`;
    return `${name}: ${values}${base ? ` beside ${base}` : ''}. ${source}.`;
  }),
  inBook(loggerRegistered, ({ name, mark, water, air }) => `${name}: ${water.name}${air ? ` with ${air.name}` : ''}, below ${mark}.`),
  inBook(
    reportBrought,
    ({ name, sampled, file, outOfUse }) => `${name}, sampled on ${sampled}: ${file.name}.${outOfUse ? ` Put aside: ${outOfUse}` : ''}`,
  ),
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

const plain = (number: unknown): string => String(Number(Number(number).toPrecision(6)));

const place = ({ latitude, longitude }: Readonly<Record<string, string | number>>) => `${latitude}°, ${longitude}°`;

export const registerFindings: FindingWords = {
  'serial-known': [({ name }) => `${name} has this serial number.`, 'Is it the same instrument? Its checks are recorded there.'],
  'position-nowhere': [() => 'Latitude and longitude are both 0: that is in the open sea.', 'Is that the place?'],
  'likely-feet': [
    ({ column, was, is }) => `${column}: ${plain(is)} m? The register has ${plain(was)} m, which is ${plain(is)} ft.`,
    'Look at the unit of the column, and say so above the rows.',
  ],
  'likely-inches': [
    ({ column, was, is }) => `${column}: ${plain(is)} mm? The register has ${plain(was)} mm, which is ${plain(is)} in.`,
    'Look at the unit of the column, and say so above the rows.',
  ],
  'position-swapped': [
    (data) => `${place(data)} is ${data['away']} km from the other points; the other way round it is among them.`,
    'Are latitude and longitude swapped?',
  ],
  'position-far': [(data) => `${place(data)} is ${data['away']} km from the other points.`, 'Is that the place?'],
};

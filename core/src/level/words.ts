import { sayFinding, type FindingWords, type Words } from '../findings/index.ts';
import { show, showTyped } from '../units/index.ts';
import { inBook, type Says } from '../book/index.ts';
import { levelLeftOut, levelRead, type WaterState } from './entries.ts';

const metres = (depth: unknown) => show(Number(depth), 'm', 2);

export const levelFindings: FindingWords = {
  'below-bottom': [
    ({ bottom, mark }) => `The well ends at ${metres(bottom)} below ${mark}.`,
    'Check the mark on the tape and the unit, then read again.',
  ],
  'below-bottom-perhaps': [
    ({ bottom, mark }) => `The well ends at ${metres(bottom)} below ground, and how high ${mark} is above it is not known.`,
    'Check the mark on the tape and the unit, then read again.',
  ],
  'below-screen': [
    ({ bottom }) => `That is below the screen, which ends at ${metres(bottom)}.`,
    'Read again; the tape may be in the sump.',
  ],
  'below-intake': [({ intake }) => `That is below the pump intake at ${metres(intake)}.`, 'Do not start the pump. Read again.'],
  'above-ground': ['That is above ground.', 'Is the well flowing by itself? Else read again.'],
  jump: [
    ({ by, step }) =>
      `The water stands ${metres(Math.abs(Number(by)))} ${Number(by) > 0 ? 'lower' : 'higher'} than last time; up to ${metres(step)} is usual here.`,
    'Read again. Is it the right well and the right mark? Is a pump running nearby?',
  ],
};

export const levelWords: Words = {
  'no-level': 'A tap has no water level.',
  'no-such-mark': 'This well has no such measuring point.',
  unexplained: (data) => `${sayFinding(levelFindings, { code: String(data['finding']), data }).says} Read again, or say why it is right.`,
};

export const waterNames: Record<WaterState, string> = { static: 'At rest', 'pumped-lately': 'Pumped lately', pumping: 'Pumping now' };

export const levelSays: readonly Says[] = [
  inBook(
    levelRead,
    ({ depth, measuringPoint, water, kept }) =>
      `${showTyped(depth)} below ${measuringPoint}. ${waterNames[water]}.${kept ? ` Questioned and kept: ${kept}` : ''}`,
  ),
  inBook(levelLeftOut, ({ reason }) => reason),
];

import { sayFinding, type FindingWords, type Words } from '../findings/index.ts';
import { show, showTyped } from '../units/index.ts';
import { inBook, type Says } from '../book/index.ts';
import { type leftOutWhys, levelLeftOut, levelRead, loggerCompared, type LevelTool, type WaterState } from './entries.ts';

const slipWords: Readonly<Record<string, string>> = {
  'feet-as-metres': 'Were it feet,',
  'metres-as-feet': 'Were it metres,',
  tenfold: 'With the decimal mark one place on,',
  'inches-as-feet': 'Were it inches,',
  'feet-as-inches': 'Were it twelve times as much,',
  millimetres: 'Were it millimetres,',
};

const sayMinutes = (minutes: unknown) => `${Math.max(1, Math.round(Number(minutes)))} min`;
const metresAway = (away: unknown) => show(Number(away), 'm', 0);
const metres = (depth: unknown) => show(Number(depth), 'm', 2);

/** A depth in the unit in which it was read, and in the other one. */
const inBoth = (depth: unknown, unit: unknown) => {
  const [feet, inMetres] = [show(Number(depth), 'ft', 2), metres(depth)];
  return unit === 'ft' ? `${feet} = ${inMetres}.` : `${inMetres} = ${feet}.`;
};

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
  first: [({ depth, unit }) => `No earlier level to compare with. ${inBoth(depth, unit)}`, 'Check that this is what the tape reads.'],
  'first-unit': [
    ({ depth, unit }) => `The other levels of this round were read in another unit. ${inBoth(depth, unit)}`,
    'Check the unit on the tape.',
  ],
  'first-slip': [
    ({ as, would, name }) => `${slipWords[String(as)] ?? ''} it would be ${metres(would)}, and the water level would match ${name}.`,
    'Look at the tape again: which unit does it have?',
  ],
  slip: [
    ({ as, would }) => `${slipWords[String(as)] ?? ''} it would be ${metres(would)}, which is what the record says.`,
    'Look at the tape again: which unit does it have?',
  ],
  'unlike-record': [
    ({ by, half, readings, expected }) =>
      `${metres(Math.abs(Number(by)))} ${Number(by) > 0 ? 'lower' : 'higher'} than ${readings} readings let one expect at this time of the year: ${metres(expected)}, give or take ${metres(half)}.`,
    'Read again. Is it the right well and the right mark? Is a pump running nearby?',
  ],
  'beside-too': [
    ({ name, away, by }) =>
      `${name}, ${metresAway(away)} away, went ${metres(Math.abs(Number(by)))} ${Number(by) > 0 ? 'down' : 'up'} in the same time.`,
    'It may be the groundwater itself.',
  ],
  'beside-not': [
    ({ name, away, by }) =>
      `${name}, ${metresAway(away)} away, ${Math.abs(Number(by)) < 0.01 ? 'did not move' : `went ${metres(Math.abs(Number(by)))} ${Number(by) > 0 ? 'down' : 'up'}`} in the same time.`,
    'It would be this well alone.',
  ],
  'unlike-beside': [
    ({ name, theirs, by, off }) =>
      `It went ${metres(Math.abs(Number(by)))} ${Number(by) > 0 ? 'down' : 'up'}, and ${name} ${metres(Math.abs(Number(theirs)))} ${Number(theirs) > 0 ? 'down' : 'up'}. They have always moved together; now they differ by ${metres(Math.abs(Number(off)))}.`,
    'Read again. Is it the right well and the right mark?',
  ],
  'dry-above-record': [
    ({ reached, last }) => `The tape came down to ${metres(reached)}; the water stood at ${metres(last)} last time, higher up.`,
    'Did the tape hang on something? Lower it again, or say why the well is dry.',
  ],
  'dry-above-bottom': [
    ({ reached, bottom }) => `The tape came down to ${metres(reached)}, and the well ends at ${metres(bottom)}.`,
    'Below it there may be water: the tape may have been stopped. Lower it again, or say why the well is dry.',
  ],
  'pump-is-on': [
    ({ minutes }) => `The pump has been on for ${sayMinutes(minutes)}: the water is not at rest.`,
    'Choose “Pumping now”, or say why it is at rest all the same.',
  ],
  'was-pumped': [
    ({ minutes, water }) =>
      water === 'pumping'
        ? `${sayMinutes(minutes)} ago a level was read while pumping.`
        : `${sayMinutes(minutes)} ago the well had been pumped lately, and its readings do not show yet that it is at rest.`,
    'Choose “Pumped lately” until it has recovered, or say why it is at rest all the same.',
  ],
  'pump-stopped': [
    ({ minutes }) => `The pump stopped ${sayMinutes(minutes)} ago.`,
    'Choose “Pumped lately” until it has recovered, or say why it is at rest all the same.',
  ],
  'levels-contradict': [
    ({ one, other, by }) =>
      `Two levels at rest contradict each other: ${metres(one)} and ${metres(other)}, ${metres(by)} apart. Neither enters the record.`,
    'Read again, and strike the readings that are wrong in the list below.',
  ],
  'same-hold': [
    'The second run was held at nearly the same mark as the first.',
    'Hold it elsewhere: a smeared cut would agree with itself.',
  ],
  'logger-off': [
    ({ by }) => `The logger is ${metres(Math.abs(Number(by)))} off the level read by hand.`,
    'Is its cable slipped, its clock wrong, or does it show a head?',
  ],
  jump: [
    ({ by, step }) =>
      `The water stands ${metres(Math.abs(Number(by)))} ${Number(by) > 0 ? 'lower' : 'higher'} than last time; up to ${metres(step)} is usual here.`,
    'Read again. Is it the right well and the right mark? Is a pump running nearby?',
  ],
};

export const levelWords: Words = {
  'no-level': 'A tap has no water level.',
  'dry-tape': ({ hold }) =>
    `The tape is dry: the water is deeper than ${show(Number(hold), 'm', 2)}, and that is not a level. Hold it deeper, or record that the level cannot be read.`,
  'no-such-mark': 'This well has no such measuring point.',
  unexplained: (data) => `${sayFinding(levelFindings, { code: String(data['finding']), data }).says} Read again, or say why it is right.`,
};

export const waterNames: Record<WaterState, string> = { static: 'At rest', 'pumped-lately': 'Pumped lately', pumping: 'Pumping now' };

export const toolNames: Record<LevelTool['tool'], string> = {
  electric: 'Electric tape',
  steel: 'Chalked steel tape',
  coarse: 'Tape with few marks',
  flowing: 'It flows: head above the mark',
};
export const leftOutNames: Record<(typeof leftOutWhys)[number], string> = {
  dry: 'The well is dry',
  obstructed: 'The tape does not get past something',
  'no-access': 'No way in for a tape',
  other: 'Something else',
};

function sayTool(by: LevelTool): string {
  switch (by.tool) {
    case 'electric':
      return ', electric tape';
    case 'steel':
      return `, steel tape held at ${showTyped(by.hold)}, cut ${showTyped(by.cut)}${by.correction ? `, corrected by ${showTyped(by.correction)}` : ''}`;
    case 'coarse':
      return `, mark ${showTyped(by.at)} and ${showTyped(by.rest)}`;
    case 'flowing':
      return `, head ${showTyped(by.head)}`;
  }
}

export const levelSays: readonly Says[] = [
  inBook(
    levelRead,
    ({ depth, measuringPoint, by, water, kept }) =>
      `${showTyped(depth)} below ${measuringPoint}${by ? sayTool(by) : ''}. ${waterNames[water]}.${kept ? ` Questioned and kept: ${kept}` : ''}`,
  ),
  inBook(
    levelLeftOut,
    ({ why, reached, reason }) => `${leftOutNames[why]}${reached ? `, tape down to ${showTyped(reached)}` : ''}. ${reason}`,
  ),
  inBook(loggerCompared, ({ logger, shows }) => `${logger} shows ${showTyped(shows)}.`),
];

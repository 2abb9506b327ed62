import type { Server } from 'node:http';
import type { AnalysisId } from '@fonte/core/bottles';
import { atDesk, comparedWith, foretell, foretoldOf, type BottleCondition, type HandedBox, type HandOver } from '@fonte/core/custody';
import { bottlesBoxed } from '@fonte/core/prepare';
import { extraPlanned } from '@fonte/core/plan';
import type { Lab } from '@fonte/core/registers';
import { fold, formLines } from '@fonte/core/round';
import { atWall, hour, minute } from '@fonte/core/time';
import { HttpLabDesk } from '@fonte/server';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { atTheWell } from '../../core/test/at-the-well.ts';
import { handing, idOf, Script } from '../../core/test/script.ts';
import { intakeRequest } from '../../server/src/lab/intake.ts';
import { lab as registered } from '../data/registers.ts';
import { startLab } from './lab.ts';

/*
 * Hand-overs that are faulty, each in its own way: what Fonte foretells by the lab's row of the register, and what the simulated lab
 * answers by rules of its own. None may be missed.
 */

/** What goes wrong, or nothing. */
interface Fault {
  /** What is sampled at the well, at the tap. */
  well?: AnalysisId[];
  tap?: 'coliforms' | 'lead';
  /** Bottles that are not filled, by the end of their label. */
  without?: string[];
  blanks?: AnalysisId[];
  /** When they are handed over, on the wall of the lab; an hour after the last is filled where nothing is said. */
  at?: [date: string, time: string];
  /** Hours from the last bottle to the desk. */
  after?: number;
  box?: Partial<Omit<HandedBox, 'temperature'>> & { celsius?: string | null };
  /** A second box, and what stands in it. */
  other?: { celsius: string; seal?: string; bottles: string[] };
  conditions?: Record<string, BottleCondition>;
  residual?: string | null;
  /** Minutes that the water stands for lead. */
  stood?: number;
  /** The register as somebody left it. */
  lab?: Partial<Lab>;
}

const procedures = { coliforms: 'coliforms-distribution', lead: 'lead-timed' } as const;

/** A tap that is sampled by its protocol, with what goes wrong there. */
const atTheTap = (book: Script, { tap = 'coliforms', residual = '0.45', stood = 31 }: Fault) =>
  book.sampleTap({
    procedure: procedures[tap],
    bottle: tap === 'lead' ? '261123A-MH1-L' : '261123A-MH1-B',
    residual: residual ?? '',
    odd: {
      ...(residual === null
        ? { residual: { skip: 'the photometer is broken' }, 'residual-again': { skip: 'the photometer is broken' } }
        : {}),
      standing: { minutes: stood, ...(stood < 30 || stood > 45 ? { departure: 'the house could not wait' } : {}) },
    },
  });

/** A day's round with its fault, up to the hand-over. */
function roundOf(fault: Fault): { book: Script; handOver: HandOver } {
  const book = new Script();
  const own: Lab = { ...registered, ...fault.lab };
  const [date] = fault.at ?? ['2026-11-23'];
  book.plan([fault.tap ?? 'coliforms'], { lab: own, ...visitsOf(book, fault), date });
  for (const analysis of fault.blanks ?? [])
    book.atWell(extraPlanned, { analysis, purpose: analysis === 'volatiles' ? 'trip-blank' : 'field-blank' });
  const well = atTheWell(() => book);
  well.purged();
  const empty = () => well.state().visits[0]!.bottles.filter(({ state }) => state === 'empty');
  for (const { id } of empty()) if (!fault.without?.some((end) => id.endsWith(end))) well.fill(id);
  if (fault.well === undefined || fault.tap) atTheTap(book, fault);
  if (fault.other)
    book.write(bottlesBoxed, {
      box: { id: idOf(91), name: 'Second box', holds: 0.02 },
      bottles: fault.other.bottles.map((end) => `261123A-${end}`),
    });
  book.now = fault.at ? atWall(...fault.at, 'Atlantic/Azores') : book.now + (fault.after ?? 1) * hour - minute;

  const round = fold(book.entries)!;
  const lines = formLines(round);
  const { celsius = '4.2', ...asked } = fault.box ?? {};
  const cooler = { box: '', name: 'Cooler', seal: '0431', sealIs: 'whole' as const, cooling: false, ...asked };
  const boxes = [
    { ...cooler, ...(celsius === null ? {} : { temperature: { text: celsius, unit: 'degC' as const } }) },
    ...(fault.other
      ? [
          {
            ...cooler,
            box: idOf(91),
            name: 'Second box',
            seal: fault.other.seal ?? '0432',
            temperature: { text: fault.other.celsius, unit: 'degC' as const },
          },
        ]
      : []),
  ];
  const conditionOf = (id: string) => Object.entries(fault.conditions ?? {}).find(([end]) => id.endsWith(end))?.[1] ?? 'good';
  const conditions = Object.fromEntries(lines.map(({ bottle }) => [bottle.id, conditionOf(bottle.id)]));
  const foretold = foretoldOf(foretell(atDesk({ lines, boxes, conditions, now: book.now + minute })));
  const form = handing(
    lines.map(({ bottle }) => ({ bottle: bottle.id, condition: conditionOf(bottle.id) })),
    {
      to: { as: 'lab', lab: own.id },
      boxes,
      foretold,
      bottles: lines.map((line) => ({ bottle: line.bottle.id, box: line.box, condition: conditionOf(line.bottle.id) })),
    },
  );
  return { book, handOver: { entry: idOf(400), at: book.now + minute, form, answer: null } };
}

function visitsOf(book: Script, { well = ['nutrients', 'metals'], tap }: Fault) {
  const { visits } = new Script().plan([tap ?? 'coliforms']).entries[0]!.payload as { visits: { id: string }[] };
  const [atWell, atTap] = visits;
  return {
    visits: [
      { ...atWell!, id: book.well, analyses: well },
      { ...atTap!, id: book.tap },
    ] as never,
  };
}

const monday = '2026-11-23';
const faults: [name: string, fault: Fault, refused: string[]][] = [
  // Nothing is wrong.
  ['good: nutrients, metals and bacteria', {}, []],
  ['good: on the edge of the cold', { box: { celsius: '1.0' } }, []],
  ['good: on the edge of the warmth', { box: { celsius: '6' } }, []],
  ['good: warm, on ice, filled just before', { box: { celsius: '14', cooling: true } }, []],
  ['good: acid metals in a warm box', { well: ['totalMetals'], box: { celsius: '23' } }, []],
  ['good: Legionella beside no ice', { well: ['legionella'], box: { celsius: '15' } }, []],
  ['good: lead after half an hour', { well: [], tap: 'lead', box: { celsius: '20' } }, []],
  ['good: PFAS with its blank', { well: ['pfas533'], blanks: ['pfas533'] }, []],
  ['good: volatiles with their blank', { well: ['volatiles'], blanks: ['volatiles'] }, []],
  ['good: at the last minute of the desk', { at: [monday, '16:29'] }, []],
  // The bottle.
  ['leaking', { conditions: { 'MW3-N': 'leaking' } }, ['MW3-N']],
  ['under-filled', { conditions: { 'MH1-B': 'underfilled' } }, ['MH1-B']],
  ['not sealed', { conditions: { 'MH1-B': 'unsealed' } }, ['MH1-B']],
  ['broken', { conditions: { 'MW3-M': 'broken' } }, ['MW3-M']],
  ['frozen', { conditions: { 'MW3-N': 'frozen' } }, ['MW3-N']],
  ['with a bubble', { well: ['volatiles'], blanks: ['volatiles'], conditions: { VA: 'bubble' } }, ['MW3-VA']],
  ['without a label that one can read', { conditions: { 'MW3-A': 'unlabelled' } }, ['MW3-A']],
  ['two of them, each in its way', { conditions: { 'MW3-N': 'leaking', 'MH1-B': 'underfilled' } }, ['MW3-N', 'MH1-B']],
  // The cold.
  ['chemistry at 8 °C', { box: { celsius: '8' } }, ['MW3-N', 'MW3-A']],
  ['a plate count at 9 °C, where other germs are taken', { well: ['plate', 'enterococci'], box: { celsius: '9' } }, ['MW3-HP']],
  ['all of it at 12 °C', { box: { celsius: '12' } }, ['MW3-N', 'MW3-A', 'MH1-B']],
  ['frost', { box: { celsius: '-0.5' } }, ['MW3-N', 'MW3-A', 'MH1-B']],
  ['41 °F written down as °C', { box: { celsius: '41' } }, ['MW3-N', 'MW3-A', 'MH1-B']],
  ['no temperature', { box: { celsius: null } }, ['MW3-N', 'MW3-A', 'MH1-B']],
  ['warm on ice, filled five hours before', { well: ['nutrients'], box: { celsius: '9', cooling: true }, after: 5 }, ['MW3-N', 'MW3-A']],
  ['Legionella on ice', { well: ['legionella'], box: { celsius: '4' } }, ['MW3-LG']],
  ['Legionella in the sun', { well: ['legionella'], box: { celsius: '24' } }, ['MW3-LG']],
  ['the second box is warm', { other: { celsius: '11', bottles: ['MW3-N', 'MW3-A'] } }, ['MW3-N', 'MW3-A']],
  [
    'two boxes swapped: Legionella on ice, chemistry without',
    { well: ['legionella', 'nutrients'], box: { celsius: '4' }, other: { celsius: '15', bottles: ['MW3-N', 'MW3-A'] } },
    ['MW3-LG', 'MW3-N', 'MW3-A'],
  ],
  // The seal.
  ['no seal', { box: { seal: '' } }, ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B']],
  ['a broken seal', { box: { sealIs: 'broken' } }, ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B']],
  ['the seal of another box', { box: { sealIs: 'other' } }, ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B']],
  ['the second box without a seal', { other: { celsius: '4', seal: '', bottles: ['MW3-N'] } }, ['MW3-N']],
  // The door.
  ['a minute after closing', { at: [monday, '16:31'] }, ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B']],
  ['in the evening', { at: [monday, '19:00'] }, ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B']],
  ['before it opens', { at: ['2026-11-24', '07:45'] }, ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B']],
  ['bacteria after the cut-off of a Wednesday', { at: ['2026-11-25', '15:00'] }, ['MW3-N', 'MH1-B']],
  ['bacteria on a Friday', { at: ['2026-11-27', '09:00'] }, ['MW3-N', 'MH1-B']],
  ['on a Saturday', { at: ['2026-11-28', '10:00'] }, ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B']],
  ['on a holiday', { at: ['2026-12-08', '10:00'] }, ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B']],
  // The time that a bottle keeps.
  ['bacteria of the day before', { at: ['2026-11-24', '08:30'] }, ['MH1-B']],
  ['nitrate a day and three hours old', { at: ['2026-11-24', '13:30'] }, ['MW3-N', 'MH1-B']],
  ['Legionella two days old', { well: ['legionella'], box: { celsius: '15' }, at: ['2026-11-25', '09:00'] }, ['MW3-LG']],
  [
    'volatiles three weeks old',
    { well: ['volatiles'], blanks: ['volatiles'], at: ['2026-12-14', '10:00'] },
    ['MW3-VA', 'MW3-VB', 'MW3-VC', 'MW3-VA-TB', 'MW3-VB-TB', 'MW3-VC-TB'],
  ],
  // The sample.
  ['no residual', { residual: null }, ['MH1-B']],
  ['more chlorine than the powder takes up', { residual: '6.2' }, ['MH1-B']],
  ['lead after twenty minutes', { well: [], tap: 'lead', stood: 20 }, ['MH1-L']],
  ['lead after an hour', { well: [], tap: 'lead', stood: 62 }, ['MH1-L']],
  ['two of three vials', { well: ['volatiles'], blanks: ['volatiles'], without: ['VC'] }, ['MW3-VA', 'MW3-VB']],
  ['one of two PFAS bottles', { well: ['pfas533'], blanks: ['pfas533'], without: ['PAB'] }, ['MW3-PAA']],
  ['PFAS without a blank', { well: ['pfas533'] }, ['MW3-PAA', 'MW3-PAB']],
  ['volatiles without a blank', { well: ['volatiles'] }, ['MW3-VA', 'MW3-VB', 'MW3-VC']],
  // The paper, and what the lab does.
  ['no order number', { lab: { form: [{ field: 'quote' }] } }, ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B']],
  ['radon, which it does not do', { well: ['radon', 'nutrients'] }, ['MW3-RNA', 'MW3-RNB']],
  ['activity, which it does not do', { well: ['grossActivity'] }, ['MW3-RA']],
  [
    'warm, late and leaking at once',
    { box: { celsius: '12' }, at: [monday, '17:30'], conditions: { 'MW3-N': 'leaking' } },
    ['MW3-M', 'MW3-N', 'MW3-A', 'MH1-B'],
  ],
];

let server: Server;
let now = 0;
let desk: HttpLabDesk;
const alarms: string[] = [];

beforeAll(async () => {
  const running = await startLab(() => now);
  server = running.server;
  desk = new HttpLabDesk({ address: running.address, private: true });
});
afterAll(() => {
  server.close();
  const faulty = faults.filter(([, , refused]) => refused.length > 0).length;
  console.log(`${faults.length} hand-overs, ${faulty} of them faulty; false alarms: ${alarms.length > 0 ? alarms.join(', ') : 'none'}`);
});

it.each(faults)('%s: foretold as the lab answers it', async (name, fault, expected) => {
  const { book, handOver } = roundOf(fault);
  now = handOver.at;
  const round = fold(book.entries)!;
  expect(round.aside).toEqual([]);
  const request = intakeRequest(
    round,
    { ...handOver, entry: idOf(500 + faults.findIndex(([one]) => one === name)) },
    { id: book.book, count: 9, hash: 'a'.repeat(64) },
  );
  const { reference, bottles } = await desk.takeIn(request);
  const answer = { at: now, reference, bottles, taken: null };
  const compared = comparedWith({ form: handOver.form, answer });
  const refused = bottles.filter(({ accepted }) => !accepted).map(({ bottle }) => bottle.replace('261123A-', ''));
  // The lab's part of it: without this, nothing that is foretold would be proven.
  expect([...refused].sort()).toEqual([...expected].sort());
  expect(compared.filter(({ as }) => as === 'missed')).toEqual([]);
  const false_ = compared
    .filter(({ as }) => as === 'false-alarm')
    .map(({ bottle, foretold }) => `${name}: ${bottle} ${foretold.join('+')}`);
  alarms.push(...false_);
  expect(false_).toEqual([]);
});

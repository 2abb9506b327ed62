import { describe, expect, it } from 'vitest';
import { writeEntry, struck } from '../book/index.ts';
import { handedOver } from '../custody/index.ts';
import { levelRead } from '../level/index.ts';
import { purgeReading } from '../purge/index.ts';
import { clockStarted, stepDone } from '../tap/index.ts';
import { handing, phone, Script, technician } from '../../test/script.ts';
import { allKinds, kindsInWords, sayEntry, titleOf } from './index.ts';

const pen = { book: technician.id, author: technician.id, device: phone, now: Date.UTC(2026, 10, 23, 10), offset: -60 };
const level = { measuringPoint: 'North rim', depth: { text: '7.40', unit: 'm' as const }, water: 'static' as const };

describe('the field book', () => {
  it('has a sentence for every kind of entry', () => {
    const unread = 'This copy of Fonte cannot read it.';
    const book = new Script();
    book.plan();
    expect(sayEntry(book.entries[0]!)).not.toBe(unread);
    expect(sayEntry({ ...book.entries[0]!, payload: {} })).toBe(unread);
    expect(sayEntry({ ...book.entries[0]!, kind: 'of-a-newer-app' })).toBe(unread);
    expect(sayEntry({ ...book.entries[0]!, version: 99 })).toBe(unread);
    expect(allKinds.filter(({ kind }) => !kindsInWords.has(kind) || titleOf({ kind }) === kind)).toEqual([]);
  });

  it.each([
    [
      'a level',
      writeEntry(pen, levelRead, { ...level, kept: 'read twice' }),
      '7.40 m below North rim. At rest. Questioned and kept: read twice',
    ],
    [
      'a set of readings',
      writeEntry(pen, purgeReading, {
        pumped: { text: '24', unit: 'L' },
        values: { temperature: { text: '16.8', unit: 'degC' }, ph: { text: '6.90', unit: 'pH' } },
      }),
      '24 L pumped, Temperature 16.8 °C, pH 6.90 pH.',
    ],
    [
      'a step, with its departure',
      writeEntry(pen, stepDone, {
        procedure: 'coliforms-distribution',
        step: 'flush',
        answer: { type: 'clock' },
        departure: 'the caretaker shut the tap',
      }),
      '“Run cold water, full and steady”. Departs from the protocol: the caretaker shut the tap',
    ],
    [
      'a clock of a protocol that this copy does not have',
      writeEntry(pen, clockStarted, { procedure: 'of-tomorrow', step: 'wait' }),
      '“wait”.',
    ],
    [
      'a hand-over',
      writeEntry(
        pen,
        handedOver,
        handing(['A-1', { bottle: 'A-2', condition: 'leaking' }], {
          to: { as: 'lab', name: 'Island laboratory' },
          from: 'Ana Reis',
          temperature: '4.4',
          seal: '0431',
          left: [{ bottle: 'A-3', why: 'missing' }],
        }),
      ),
      'A-1, A-2 to Island laboratory, Desk, from Ana Reis. Cooler 4.4 °C, seal 0431. A-2 leaking, A-3 not found. Signed Ana Reis.',
    ],
  ])('says %s as somebody would who tells of it', (_, entry, sentence) => {
    expect(sayEntry(entry)).toBe(sentence);
  });

  it('tells of a correction what stands instead, and when', () => {
    const strike = { entry: technician.id, kind: 'level-read', reason: 'misread the tape' };
    expect(sayEntry(writeEntry(pen, struck, strike))).toBe('Level reading: misread the tape. Struck.');
    const instead = {
      payload: { ...level, depth: { text: '7.42', unit: 'm' } },
      version: 1,
      at: { utc: '2026-11-23T09:58:30.000Z', offset: -60 },
    };
    expect(sayEntry(writeEntry(pen, struck, { ...strike, instead }))).toBe(
      'Level reading: misread the tape. Instead: 7.42 m below North rim. At rest. 2026-11-23 09:58:30 UTC',
    );
  });
});

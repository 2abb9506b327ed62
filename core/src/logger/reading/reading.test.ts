import { describe, expect, it } from 'vitest';
import type { Recording } from '../../registers/index.ts';
import { lookThrough, readRecording, type Recorded } from '../index.ts';
import { plainRecording } from '../../../test/recording.ts';

const file: Recording = { ...plainRecording, unit: 'kPa' };
const read = (text: string, said: Partial<Recording> = {}, shows: 'gauge' | 'absolute' | 'air' | 'head' | 'depth' = 'gauge') => {
  const found = readRecording(text, { ...file, ...said }, shows);
  if ('refusal' in found) throw new Error(found.refusal.code);
  return found.recorded;
};
const at = (recorded: Recorded) => [...recorded.times].map((time) => new Date(time).toISOString().slice(0, 16));

describe('what a file is proposed to be', () => {
  const look = (text: string) => {
    const found = lookThrough(text);
    return 'look' in found ? found.look : found.refusal.code;
  };

  it('finds the readings below what a logger tells of itself, and says what the names of its columns say', () => {
    const found = look(
      'Serial;4711\nInterval;15 min\n\nDate;Time;Abs pressure [kPa];Temp [°C]\n' +
        '23.11.2026;09:00:00;141,25;11,3\n23.11.2026;09:15:00;141,31;11,3\n23.11.2026;09:30:00;141,4;11,3\n',
    );
    expect(found).toMatchObject({ date: 0, time: 1, orders: ['dmy'], rows: 3, isWritten: false });
    expect(found).toMatchObject({
      columns: [
        { place: 2, decimals: 'comma', unit: 'kPa', shows: 'absolute' },
        { place: 3, unit: 'degC', shows: 'cold' },
      ],
    });
  });

  it('leaves open what could be read two ways: day and month, a thousand or a decimal, vented or not', () => {
    const found = look('Time,Pressure\n04/05/2026 10:00,1.013\n04/05/2026 11:00,1.014\n05/05/2026 10:00,1.015\n');
    expect(found).toMatchObject({ orders: ['dmy', 'mdy'], columns: [{ decimals: null, unit: null, shows: null }] });
    // Another column of the file tells how its numbers are written.
    const beside = look(
      'Time;Pressure;Temp\n13.05.2026 10:00;142,724;11,6\n13.05.2026 11:00;142,725;11,6\n13.05.2026 12:00;142,731;11,5\n',
    );
    expect(beside).toMatchObject({ columns: [{ decimals: 'comma' }, { decimals: 'comma' }] });
    // One day after the twelfth tells, and one number with two decimals.
    const told = look('Time,Level (m)\n04/05/2026 10:00,1.013\n04/05/2026 11:00,1.01\n13/05/2026 10:00,1.015\n');
    expect(told).toMatchObject({ orders: ['dmy'], columns: [{ decimals: 'point', unit: 'm', shows: null }] });
  });

  it('sees that each moment says how far it is from UTC', () => {
    expect(look('2026-11-23T09:00:00+01:00,3.1\n2026-11-23T09:15:00+01:00,3.12\n2026-11-23T09:30:00+01:00,3.1\n')).toMatchObject({
      isWritten: true,
      header: ['Column 1', 'Column 2'],
    });
  });

  it('shows no more of a file than a person looks at', () => {
    const wide = look(
      Array.from({ length: 4 }, () => `2026-11-23 09:00;${Array.from({ length: 900 }, () => '1.5').join(';')};${'x'.repeat(9000)}`).join(
        '\n',
      ),
    );
    expect(wide).toMatchObject({ rows: 4 });
    if (typeof wide !== 'string') expect([wide.header.length, wide.sample[0]!.length, wide.columns.length]).toEqual([200, 200, 199]);
  });

  it.each([
    ['', 'empty'],
    ['%PDF-1.7 …', 'not-text'],
    ['a,b\nc,d\n', 'no-readings'],
    ['Date,Pressure\n23.11.2026 09:00,141,25\n23.11.2026 09:15,141,31\n23.11.2026 09:30,141,40\n', 'columns-differ'],
    ['Dear all,\nthe pump is fixed.\n', 'no-readings'],
  ])('refuses %j', (text, code) => {
    expect(look(text)).toBe(code);
  });
});

describe('reading a file in the way that was said', () => {
  it('takes the clock’s distance from UTC off, and how far it was ahead', () => {
    const text = '2026-11-23 09:00,20.1\n2026-11-23 09:15,20.2\n2026-11-23 09:30,20.3\n';
    expect(at(read(text, { clock: { goes: 'fixed', offset: 60 } }))[0]).toBe('2026-11-23T08:00');
    expect(at(read(text, { ahead: 120 }))[0]).toBe('2026-11-23T08:58');
    expect([...read(text).values]).toEqual([20_100, 20_200, 20_300]);
    // What the file says itself is not overruled.
    const written = '2026-11-23T09:00+01:00,20.1\n2026-11-23T09:15+01:00,20.2\n2026-11-23T09:30+01:00,20.3\n';
    expect(at(read(written, { clock: { goes: 'written' } }))[0]).toBe('2026-11-23T08:00');
    expect(read(written).unread.byCode).toEqual({ 'offset-written': 3 });
  });

  it('goes with a wall clock over both changes of the hour', () => {
    const clock = { goes: 'wall', zone: 'Europe/Lisbon' } as const;
    // Regulation of summer time: Directive 2000/84/EC. Lisbon goes from +1 h to 0 on 25 October 2026 at 01:00 UTC, 02:00 by the wall.
    const autumn = read(
      '2026-10-25 00:30,1\n2026-10-25 01:00,2\n2026-10-25 01:30,3\n2026-10-25 01:00,4\n2026-10-25 01:30,5\n2026-10-25 02:00,6\n',
      {
        clock,
      },
    );
    expect(at(autumn)).toEqual(
      ['23:30', '00:00', '00:30', '01:00', '01:30', '02:00'].map((time, place) => `2026-10-${place === 0 ? 24 : 25}T${time}`),
    );
    expect(autumn.back).toBeNull();
    // Came only once: which of both hours it is nobody knows.
    const once = read('2026-10-25 00:30,1\n2026-10-25 01:30,3\n2026-10-25 02:00,6\n2026-10-25 02:30,6\n', { clock });
    expect(once.unread.byCode).toEqual({ 'hour-twice': 1 });
    // 29 March 2026, 01:00 to 02:00 by the wall does not exist.
    const spring = read('2026-03-29 00:30,1\n2026-03-29 01:30,2\n2026-03-29 02:30,3\n', { clock });
    expect(at(spring)).toEqual(['2026-03-29T00:30', '2026-03-29T01:30']);
    expect(spring.unread.byCode).toEqual({ 'no-such-hour': 1 });
  });

  it('leaves out and names what is no reading, and neither of two that differ', () => {
    const found = read(
      '2026-11-23 09:00,20.1\n2026-11-23 09:15,20.1\n2026-11-23 09:30,20.2\n2026-11-23 09:30,20.9\n2026-11-23 09:45,-9999\n' +
        '2026-11-23 10:00,\n2026-11-23 10:15,err\n31-31-2026 10:30,20.1\n2026-11-23 09:15,20.1\n2026-11-23 10:45,20.3\n',
    );
    expect(at(found)).toEqual(['2026-11-23T09:00', '2026-11-23T09:15', '2026-11-23T10:45']);
    expect(found.unread.byCode).toEqual({ impossible: 1, 'no-value': 1, 'no-number': 1, 'no-date': 1, 'differs-at-one-moment': 2 });
    expect(found.unread.first[0]).toEqual({ code: 'impossible', line: 5, cell: '-9999' });
    expect(found.back).toEqual({ count: 1, line: 9 });
  });

  it('reads thousands by the mark that was said, and no other', () => {
    const values = (text: string, decimals: 'point' | 'comma') =>
      [...read(`2026-11-23 09:00;${text}\n2026-11-23 09:15;${text}\n2026-11-23 09:30;${text}\n`, { decimals, unit: 'mbar' }).values][0];
    expect(values('1.013', 'comma')).toBe(101_300);
    expect(values('1.013', 'point')).toBeCloseTo(101.3, 6);
    expect(values('1,013.25', 'point')).toBeCloseTo(101_325, 6);
    expect(values('1,013.25', 'comma')).toBeUndefined();
  });
});

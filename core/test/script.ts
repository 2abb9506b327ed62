import { newId, writeEntry, type Entry, type EntryKind } from '../src/book/index.ts';
import { roundPlanned } from '../src/plan/index.ts';
import type { Lab, TapPoint, WellPoint } from '../src/registers/index.ts';
import { minute } from '../src/time/index.ts';
import type { z } from 'zod';

export const wellPoint: WellPoint = {
  id: 'p-well',
  code: 'MW3',
  name: 'Tannery 3',
  place: 'Lomba Velha',
  use: 'monitoring',
  access: '',
  type: 'well',
  well: {
    measuringPoints: [{ name: 'North rim', elevation: 52.34, stickUp: 0.6 }],
    bottom: 18,
    screenTop: 12,
    screenBottom: 17,
    insideDiameter: 0.052,
  },
};
export const tapPoint: TapPoint = {
  id: 'p-tap',
  code: 'MH1',
  name: 'Market hall',
  place: 'Porto Amaro',
  use: 'supply',
  access: '',
  type: 'tap',
  tap: { outlet: 'Tap in the cleaning room', residualMinimum: 0.2 },
};
export const lab: Lab = {
  id: 'lab',
  name: 'Island lab',
  zone: 'Atlantic/Azores',
  source: '',
  asksForSeal: false,
  intake: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, opens: '08:00', closes: '16:00' })),
  bacteriaCloses: { 4: '12:00', 5: null },
  temperature: { bacteria: { least: 1, most: 10 }, chilled: { least: 1, most: 6 } },
  holding: { bacteria: 18 },
};

/** Writes a book step by step, a minute apart. Monday 23 November 2026, 09:00 on the Azores. */
export class Script {
  readonly entries: Entry[] = [];
  readonly book: string;
  readonly well: string;
  readonly tap: string;
  now = Date.UTC(2026, 10, 23, 10, 0);

  constructor() {
    [this.book, this.well, this.tap] = [newId(this.now), newId(this.now), newId(this.now)];
  }

  make<K extends string, S extends z.ZodType>(kind: EntryKind<K, S>, payload: z.input<S>): Entry<K, z.input<S>> {
    return writeEntry({ book: this.book, author: 'tech', now: this.now, offset: -60 }, kind, payload);
  }

  write<K extends string, S extends z.ZodType>(kind: EntryKind<K, S>, payload: z.input<S>, minutes = 1): Entry<K, z.input<S>> {
    this.now += minutes * minute;
    const entry = this.make(kind, payload);
    this.entries.push(entry);
    return entry;
  }

  plan(): this {
    this.write(roundPlanned, {
      name: 'Monday',
      code: '261123A',
      system: 'Marenta',
      date: '2026-11-23',
      zone: 'Atlantic/Azores',
      lab,
      visits: [
        { id: this.well, point: wellPoint, analyses: ['general', 'nutrients', 'metals'] },
        { id: this.tap, point: tapPoint, analyses: ['coliforms'] },
      ],
    });
    return this;
  }
}

import type { z } from 'zod';
import { beforeEach, describe, expect, it } from 'vitest';
import { Script } from '../../test/script.ts';
import { atTheWell } from '../../test/at-the-well.ts';
import { benchCount, fold, nextStep, overview, sayEntry } from '../round/index.ts';
import { standingIn } from '../round/standing.ts';
import { hour } from '../time/index.ts';
import {
  countOf,
  cultureBegun,
  cultureDropped,
  cultureRead,
  impossibleCount,
  sayCount,
  sayCultureDoubt,
  sayLimits,
  type Counted,
} from './index.ts';

let book: Script;
const { state, misfit } = atTheWell(() => book);
const bottle = '261123A-MH1-B';
const medium = { lot: 'M-204', expires: '2027-05-31' };
const warmth = { text: '35.0', unit: 'degC' } as const;
beforeEach(() => {
  book = new Script().plan();
  book.sampleTap();
});

const wells = (coliforms: number, ecoli: number): Counted => ({ of: 'wells', coliforms: [coliforms], ecoli: [ecoli] });
const beginning = (more: object = {}): z.input<typeof cultureBegun.payload> => ({
  method: 'wells-51',
  bottles: [bottle],
  hasBlank: true,
  hasControl: true,
  medium,
  warmth,
  ...more,
});
const begin = (more: object = {}) => book.write(cultureBegun, beginning(more));
const reading = (culture: string, counted: Counted, more: object = {}) => ({
  culture,
  what: { is: 'bottle', bottle } as const,
  counted,
  ...more,
});
const after = (hours: number) => {
  book.now += hours * hour;
};
const grew = (culture: string, is: 'blank' | 'control', grown: boolean) =>
  book.write(cultureRead, { culture, what: { is }, counted: { of: 'growth', grew: grown } });
const verdict = () =>
  fold(book.entries)!.verdict?.visits[0]?.judged.map(({ result, verdict: one }) => [result.parameter, one.state, one.weakness]);

describe('what was counted', () => {
  it.each<[Counted, string, string]>([
    // MPN of 51 equal wells, 100 mL: 1 / 5 / 50 positive are 1.0 / 5.3 / 200.5 (the MPN equation)
    [wells(1, 0), '1.0', '< 1.0'],
    [wells(5, 1), '5.3', '1.0'],
    [wells(50, 5), '201', '5.3'],
    [wells(0, 0), '< 1.0', '< 1.0'],
    [wells(51, 51), '> 201', '> 201'],
  ])('%j', (counted, coliforms, ecoli) => {
    const found = countOf('wells-51', counted)!;
    expect([sayCount(found.coliforms), sayCount(found.ecoli)]).toEqual([coliforms, ecoli]);
  });

  it('on a filter is a number for 100 mL with the limits of a Poisson count, or too many', () => {
    const of = (coliforms: number | null, ecoli: number | null, filtered = 100) =>
      countOf('membrane', { of: 'colonies', coliforms, ecoli }, filtered)!;
    // Garwood (1936), by scipy.stats.chi2: 10 colonies are 4.80 to 18.39
    expect(of(10, 1).coliforms).toMatchObject({ form: 'value', value: 10 });
    expect(of(10, 1).coliforms.from).toBeCloseTo(4.79539, 4);
    expect(of(10, 1).coliforms.to).toBeCloseTo(18.39036, 4);
    expect(of(1, 0).coliforms.from).toBeCloseTo(0.025318, 5);
    expect(of(100, 100).ecoli.to).toBeCloseTo(121.62679, 4);
    expect(of(10, 1, 50).coliforms).toMatchObject({ value: 20 });
    expect(of(0, 0, 50).coliforms).toMatchObject({ form: 'below', value: 2 });
    expect([sayCount(of(101, 0).coliforms), sayCount(of(null, 3).coliforms)]).toEqual(['too many to count', 'too many to count']);
    expect(sayLimits(of(10, 1).coliforms)).toBe('95 %: 4.8 to 18.4 per 100 mL.');
  });

  it('in one bottle is found or not', () => {
    const found = countOf('bottle', wells(1, 0))!;
    expect([found.coliforms.form, found.ecoli.form]).toEqual(['present', 'absent']);
  });

  it('cannot be more than there are wells, nor more E. coli than coliforms', () => {
    expect(impossibleCount('wells-51', wells(52, 0))).toMatchObject({ code: 'more-than-wells', data: { wells: 51, positive: 52 } });
    expect(impossibleCount('wells-51', wells(3, 4))?.code).toBe('more-ecoli');
    expect(impossibleCount('tubes-5', { of: 'wells', coliforms: [5, 1, 0], ecoli: [1, 1, 0] })).toBeNull();
    expect(impossibleCount('tubes-5', { of: 'wells', coliforms: [5, 6, 0], ecoli: [1, 1, 0] })?.code).toBe('more-than-wells');
    expect(impossibleCount('membrane', { of: 'colonies', coliforms: 4, ecoli: null })?.code).toBe('more-ecoli');
    expect(impossibleCount('membrane', wells(1, 1))?.code).toBe('other-count');
  });
});

describe('a bottle on the own bench', () => {
  it('waits for no lab any more, and its clock runs on the first page', () => {
    expect(overview(state()).waiting).toMatchObject([{ bottle }]);
    begin();
    expect(state().bottles.find(({ id }) => id === bottle)).toMatchObject({ stage: 'handed-over', onBench: true });
    expect(overview(state()).waiting).toEqual([]);
    expect(overview(state()).clocks).toMatchObject([{ room: 'culture', visit: null, least: 24 * 3600, pointName: bottle }]);
  });

  it('has to be one of bacteria, filled and still at hand, and is put in once', () => {
    expect(misfit(book.make(cultureBegun, beginning({ bottles: ['261123A-MW3-M'] })))?.message).toMatch(/not a filled bottle of bacteria/);
    begin();
    expect(misfit(book.make(cultureBegun, beginning()))?.message).toMatch(/still at hand/);
  });

  it('asks why an incubator is too cold or a medium too old, and doubts what comes of it', () => {
    expect(misfit(book.make(cultureBegun, beginning({ warmth: { text: '30', unit: 'degC' } })))?.path).toBe('payload.departure');
    expect(misfit(book.make(cultureBegun, beginning({ warmth: { text: '95', unit: 'degF' } })))).toBeUndefined();
    const old = { lot: 'M-1', expires: '2026-11-22' };
    expect(misfit(book.make(cultureBegun, beginning({ medium: old })))?.path).toBe('payload.departure');
    const { id } = begin({ medium: old, departure: 'the new one has not come', hasBlank: false, hasControl: false });
    after(24.5);
    book.write(cultureRead, reading(id, wells(0, 0)));
    expect(benchCount(state().cultures, bottle)!.doubts.map(({ code }) => code)).toEqual(['no-blank', 'no-control', 'medium']);
  });

  it('that was begun after its holding time is doubted', () => {
    after(20);
    const { id } = begin();
    after(25);
    book.write(cultureRead, reading(id, wells(0, 0)));
    expect(benchCount(state().cultures, bottle)!.doubts.map(sayCultureDoubt)).toEqual([`Begun after the holding time: ${bottle}.`]);
  });

  it('says nothing before its time where nothing grew, and at least so much where something did', () => {
    const { id } = begin();
    after(20);
    expect(misfit(book.make(cultureRead, reading(id, wells(0, 0))))?.message).toMatch(/nothing follows from what has not grown/);
    expect(misfit(book.make(cultureRead, reading(id, wells(3, 0))))?.path).toBe('payload.departure');
    book.write(cultureRead, reading(id, wells(3, 1), { departure: 'leaving the island' }));
    const { count } = benchCount(state().cultures, bottle)!;
    expect([sayCount(count.coliforms), count.coliforms.to]).toEqual(['≥ 3.1', null]);
    expect(sayEntry(book.entries.at(-1)!)).toContain('of them E. coli 1');
  });

  it('proves nothing of E. coli where only coliforms have grown yet', () => {
    const { id } = begin();
    after(20);
    book.write(cultureRead, reading(id, wells(3, 0), { departure: 'leaving the island' }));
    expect(sayCount(benchCount(state().cultures, bottle)!.count.ecoli)).toBe('not known yet');
    // No result of E. coli comes of it: none found would be a false all-clear.
    expect(
      standingIn({ report: { reports: [], told: [], without: [], byHand: [] }, culture: state().cultures }).map(
        ({ result }) => result.parameter,
      ),
    ).toEqual(['coliforms']);
  });

  it('says nothing before its time where no colony has grown', () => {
    const { id } = begin({ method: 'membrane', filtered: 100 });
    after(2);
    expect(
      misfit(book.make(cultureRead, reading(id, { of: 'colonies', coliforms: 0, ecoli: 0 }, { departure: 'in a hurry' })))?.message,
    ).toMatch(/nothing follows from what has not grown/);
  });

  it('stands in the verdict as of the own bench: never meets, is over all the same', () => {
    const { id } = begin();
    after(24.5);
    book.write(cultureRead, reading(id, wells(0, 0)));
    expect(verdict()).toEqual([
      ['coliforms', 'proves-nothing', 'own-bench'],
      ['ecoli', 'proves-nothing', 'own-bench'],
    ]);
    expect(state().bottles.find((one) => one.id === bottle)!.stage).toBe('judged');
  });

  it('cannot tell of 55.5 mL whether there is none in 100', () => {
    const { id } = begin({ method: 'tubes-5' });
    after(24.5);
    book.write(cultureRead, reading(id, { of: 'wells', coliforms: [0, 0, 0], ecoli: [0, 0, 0] }));
    expect(verdict()!.map(([, one]) => one)).toEqual(['cannot-tell', 'cannot-tell']);
  });

  it('with E. coli asks for what is done about them', () => {
    const { id } = begin();
    after(24.5);
    book.write(cultureRead, reading(id, wells(5, 2)));
    expect(verdict()!.map(([parameter, one]) => [parameter, one])).toContainEqual(['ecoli', 'over-health']);
    expect(state().followUps.length).toBeGreaterThan(0);
  });

  it('is doubted for good where the blank grew or the control did not, also counted before', () => {
    const { id } = begin();
    after(24.5);
    book.write(cultureRead, reading(id, wells(2, 0)));
    expect(nextStep(state())?.code).not.toBe('wait-for-report');
    grew(id, 'blank', true);
    grew(id, 'control', false);
    expect(benchCount(state().cultures, bottle)!.doubts.map(({ code }) => code)).toEqual(['blank-grew', 'control-silent']);
    expect(misfit(book.make(cultureRead, { culture: id, what: { is: 'blank' }, counted: { of: 'growth', grew: false } }))?.message).toMatch(
      /looked at already/,
    );
  });

  it('is at hand again once its culture is given up, and counted once', () => {
    const first = begin();
    book.write(cultureDropped, { culture: first.id, reason: 'the incubator lost its current' });
    expect(state().bottles.find((one) => one.id === bottle)).toMatchObject({ stage: 'filled', onBench: false });
    const second = begin();
    after(25);
    const read = book.write(cultureRead, reading(second.id, wells(1, 0)));
    expect(misfit(book.make(cultureRead, reading(second.id, wells(2, 0))))?.message).toMatch(/was counted already/);
    book.correct(read, 'a shadow, not a colour');
    expect(misfit(book.make(cultureRead, reading(second.id, wells(0, 0))))).toBeUndefined();
  });

  it('asks about wells that can hardly be', () => {
    const { id } = begin({ method: 'tubes-5' });
    after(25);
    const odd: Counted = { of: 'wells', coliforms: [0, 0, 4], ecoli: [0, 0, 0] };
    expect(misfit(book.make(cultureRead, reading(id, odd)))?.path).toBe('payload.kept');
  });
});

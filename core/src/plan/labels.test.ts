import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitLabel, labelStock, labelStockIds, linesOf, placeLabels, type BottleLabel } from './index.ts';

/** Every letter half as wide as high. */
const measure = (text: string, size: number) => text.length * size * 0.5;
const label: BottleLabel = {
  id: '261123A-MW3-N',
  date: '2026-11-23',
  initials: 'IF',
  place: 'Tannery 3, downstream',
  about: 'Nutrients',
  preservative: 'No preservative',
};
const fit = (width: number, height: number, of = label) => fitLabel(linesOf(of), { width, height }, measure);

describe('a label', () => {
  it('has everything where there is room', () => {
    const { lines, lost, isTooSmall } = fit(200, 100);
    expect(lines.map(({ text }) => text)).toEqual([
      '261123A-MW3-N',
      '2026-11-23',
      'IF   at ____ : ____',
      label.place,
      'Nutrients',
      'No preservative',
    ]);
    expect([lost, isTooSmall]).toEqual([[], false]);
  });

  it('leaves room for what nobody can know before the bottle is filled', () => {
    const lines = linesOf({ ...label, date: '', initials: '' }).map(({ text }) => text);
    expect(lines.slice(1, 3)).toEqual(['____ - __ - __', '______   at ____ : ____']);
  });

  it('loses the least important line first, and the identifier last', () => {
    const kept = (height: number) => fit(200, height).lines.length;
    expect(fit(200, 40).lost).toEqual(['No preservative']);
    expect([100, 40, 34, 25, 16, 9].map(kept)).toEqual([6, 5, 4, 3, 2, 1]);
    expect(fit(200, 9).lines[0]!.text).toBe('261123A-MW3-N');
  });

  it('cuts a long place at its end and says so, and never an identifier', () => {
    const long = { ...label, place: 'Sports hall, showers of the visitors, second floor, left' };
    const { lines, lost } = fit(80, 100, long);
    expect(lines[3]!.text).toMatch(/^Sports hall, showers.*…$/);
    expect(lost).toContain(long.place);
    expect(fit(20, 100).isTooSmall).toBe(true);
    expect(fit(20, 100).lines[0]!.text).toBe('261123A-MW3-N');
  });

  it('never runs over its box, whatever is on it', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 60 }),
        fc.integer({ min: 60, max: 200 }),
        fc.integer({ min: 10, max: 120 }),
        (place, width, height) => {
          const { lines, isTooSmall } = fit(width, height, { ...label, place });
          if (isTooSmall) return;
          expect(lines.reduce((sum, { size }) => sum + size * 1.2, 0)).toBeLessThanOrEqual(height + 1e-9);
          for (const { text, size } of lines) expect(measure(text, size)).toBeLessThanOrEqual(width);
        },
      ),
    );
  });
});

describe('sheets of labels', () => {
  it('hold every label on the page, none over another', () => {
    for (const id of labelStockIds) {
      const stock = labelStock(id);
      const { page, label: size, columns, rows } = stock;
      const places = placeLabels(columns * rows, stock);
      for (const { left, top, page: number } of places) {
        expect(number, id).toBe(0);
        expect(left + size.width, id).toBeLessThanOrEqual(page.width + 1e-9);
        expect(top + size.height, id).toBeLessThanOrEqual(page.height + 1e-9);
      }
      expect(stock.pitch.across, id).toBeGreaterThanOrEqual(size.width);
      expect(stock.pitch.down, id).toBeGreaterThanOrEqual(size.height);
    }
  });

  it('begin behind the places that are used already, and go on to the next sheet', () => {
    const stock = labelStock('a4-24');
    const places = placeLabels(3, stock, 22);
    expect(places.map(({ page }) => page)).toEqual([0, 0, 1]);
    expect([places[2]!.left, places[2]!.top]).toEqual([0, 0]);
    expect(placeLabels(1, stock, 999)[0]!.page).toBe(0);
    expect(placeLabels(1, stock, -4)[0]).toEqual({ page: 0, left: 0, top: 0 });
  });
});

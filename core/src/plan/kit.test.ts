import { describe, expect, it } from 'vitest';
import { idOf, tapPoint, wellPoint } from '../../test/script.ts';
import { analysisIds, bottleTables, cardAt, cardOf, extraPurposes, purpose, type AnalysisId } from '../bottles/index.ts';
import type { Point } from '../registers/index.ts';
import { bottlesAt, countBottles, loads, missingExtras, suggest, type PlannedVisit } from './index.ts';

const table = bottleTables.newest[0]!;
const round = { code: 'R', date: '2026-11-23' };
let last = 100;
const visit = (point: Point, ...analyses: AnalysisId[]): PlannedVisit => ({ id: idOf((last += 1)), point, analyses });
const labels = (one: PlannedVisit, extras: Parameters<typeof missingExtras>[2] = []) =>
  bottlesAt(one, round, table, { extras }).map(({ id }) => id);

describe('bottles of a sample', () => {
  it('are as many as the method takes, told apart by a letter', () => {
    expect(labels(visit(tapPoint, 'volatiles'))).toEqual(['R-MH1-VA', 'R-MH1-VB', 'R-MH1-VC']);
    expect(labels(visit(tapPoint, 'fluoride'))).toEqual(['R-MH1-F']);
  });

  it('have a blank of two bottles for PFAS, and trip blanks as many as the sample', () => {
    const pfas = visit(tapPoint, 'pfas533');
    const [blank] = bottlesAt(pfas, round, table, { extras: [{ analysis: 'pfas533', purpose: 'field-blank' }] });
    expect([blank!.supply, blank!.id]).toEqual(['R-MH1-PA-FS', 'R-MH1-PA-FR']);
    const volatile = visit(tapPoint, 'volatiles');
    expect(labels(volatile, [{ visit: volatile.id, analysis: 'volatiles', purpose: 'trip-blank' }]).slice(0, 3)).toEqual([
      'R-MH1-VA-TB',
      'R-MH1-VB-TB',
      'R-MH1-VC-TB',
    ]);
  });

  it('never share a label, whatever is asked for', () => {
    const all = visit(wellPoint, ...analysisIds);
    const extras = analysisIds.flatMap((analysis) =>
      extraPurposes.map((id) => ({
        visit: all.id,
        analysis,
        purpose: id,
        ...(purpose(id).isBlind ? { as: { code: 'ZZX', name: 'Elsewhere' } } : {}),
      })),
    );
    const found = bottlesAt(all, round, table, { extras }).flatMap(({ id, supply }) => (supply ? [id, supply] : [id]));
    // The spare of a label is the label with a number: no label may be one.
    expect(new Set(found).size).toBe(found.length);
    for (const id of found) expect(id).not.toMatch(/[A-Z]\d+$/);
  });
});

describe('blanks and duplicates that a plan lacks', () => {
  const asked = (visits: PlannedVisit[], extras: Parameters<typeof missingExtras>[2] = []) =>
    missingExtras(visits, table, extras).map(({ visit: at, analysis, purpose }) => [
      visits.findIndex(({ id }) => id === at),
      analysis,
      purpose,
    ]);
  const school = { ...tapPoint, id: idOf(50), code: 'SC1', building: 'School' };
  const kitchen = { ...school, id: idOf(51), code: 'SC2' };

  it('are one field blank of PFAS for each building, not for each tap', () => {
    const visits = [visit(school, 'pfas533'), visit(kitchen, 'pfas533'), visit(tapPoint, 'pfas533')];
    expect(asked(visits)).toEqual([
      [0, 'pfas533', 'field-blank'],
      [2, 'pfas533', 'field-blank'],
    ]);
    // Whichever tap of the building has it.
    expect(asked(visits, [{ visit: visits[1]!.id, analysis: 'pfas533', purpose: 'field-blank' }])).toEqual([[2, 'pfas533', 'field-blank']]);
  });

  it('are one trip blank a round for what gets in through the cap', () => {
    expect(asked([visit(tapPoint, 'coliforms'), visit(school, 'volatiles'), visit(wellPoint, 'volatiles')])).toEqual([
      [1, 'volatiles', 'trip-blank'],
    ]);
  });

  it('are an equipment blank where gear goes from well to well, and none at taps', () => {
    expect(asked([visit(tapPoint, 'metals')])).toEqual([]);
    expect(asked([visit(tapPoint, 'metals'), visit(wellPoint, 'metals')])).toEqual([[1, 'metals', 'equipment-blank']]);
  });

  it('are one duplicate in ten, from five samples on', () => {
    const wells = (count: number) => Array.from({ length: count }, () => visit(wellPoint, 'general'));
    expect([4, 5, 10, 11, 21].map((count) => asked(wells(count)).length)).toEqual([0, 1, 1, 2, 3]);
    const eleven = wells(11);
    expect(asked(eleven, [{ visit: eleven[3]!.id, analysis: 'general', purpose: 'duplicate' }])).toHaveLength(1);
  });
});

describe('a surface', () => {
  it('is swabbed for Legionella: no litre to pack, nothing to turn over, and a bottle where there is water', () => {
    const surface = { ...tapPoint, kind: 'surface' } as Point;
    const bottles = [visit(surface, 'legionella'), visit(tapPoint, 'legionella')].flatMap((one) =>
      bottlesAt(one, round, table).map((bottle) => ({ ...bottle, card: cardAt(table, bottle.rule, one.point) })),
    );
    expect(countBottles(table, bottles).map(({ card, needed }) => [card.container, card.volume, card.mix !== null, needed])).toEqual([
      ['Sterile swab in its tube', 10, false, 1],
      [cardOf(table, 'legionella').container, 1000, true, 1],
    ]);
  });
});

describe('the load', () => {
  it('is counted by what each bottle wants of the cold, blanks and all', () => {
    const visits = [visit(tapPoint, 'legionella', 'coliforms'), visit(wellPoint, 'metals', 'pfas533')];
    const counts = countBottles(
      table,
      visits.flatMap((one) => bottlesAt(one, round, table)),
    );
    const found = Object.fromEntries(loads(counts).map((one) => [one.temperature, one]));
    expect(found['cool']).toMatchObject({ bottles: 1, realIceOnly: false });
    expect(found['chilled']).toMatchObject({ bottles: 2, realIceOnly: true });
    expect(found['chilled']!.water).toBeCloseTo(0.5e-3, 9);
    expect(found['any']!.bottles).toBe(1);
    expect(found['bacteria']!.space).toBeGreaterThan(found['bacteria']!.water);
  });
});

describe('suggestions', () => {
  const of = (change: Partial<Point>) => suggest({ ...tapPoint, ...change }).map(({ analysis }) => analysis);

  it('follow what lies about a point', () => {
    expect(of({ kind: 'outlet', surroundings: [] })).toEqual([]);
    expect(of({ kind: 'outlet', surroundings: ['farmland'] })).toEqual(expect.arrayContaining(['coliforms', 'nutrients']));
    expect(of({ kind: 'outlet', surroundings: ['foam', 'granite'] })).toEqual(
      expect.arrayContaining(['pfas533', 'radon', 'grossActivity']),
    );
  });

  it('are bacteria for every private well, always', () => {
    for (const kind of ['private-well', 'open-well', 'hand-pump', 'spring'] as const) expect(of({ kind }), kind).toContain('coliforms');
    expect(of({ kind: 'outlet', water: 'private' })).toContain('coliforms');
  });

  it('are by-products where free chlorine is, Legionella where water stands warm, spores where surface water gets in', () => {
    expect(of({ disinfection: 'free-chlorine' })).toContain('trihalomethanes');
    expect(of({ kind: 'shower' })).toContain('legionella');
    expect(of({ source: 'under-surface-influence' })).toEqual(expect.arrayContaining(['clostridium', 'turbidity']));
  });

  it('are none where nothing is known', () => {
    expect(of({ kind: 'outlet' })).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import { compareCriteria, criteria, readingSets, type ProbeParameter } from '../purge/index.ts';
import { begin, Instruments, sounds, wellAfter, wellCharacter, wellNames, withFlow, type FlowChange, type WellName } from './index.ts';

const shape = { insideDiameter: 0.052, bottom: 18.6, screenTop: 11.6, screenBottom: 17.6, rest: 7.5 };
const gear = { intake: 14.6, tubing: 0.45e-3, cell: 0.5e-3 };
const litres = (perMinute: number) => perMinute * (1e-3 / 60);
const after = (name: WellName, changes: readonly FlowChange[], minutes: number) =>
  wellAfter({ character: wellCharacter(name), shape, gear, seed: 7 }, changes, minutes * 60);
const low = [{ at: 0, flow: litres(0.4) }];
const shown = (name: WellName, changes: readonly FlowChange[], minutes: number, id: ProbeParameter) =>
  Number(after(name, changes, minutes).reading()[id].text);

/** Sets read every five minutes, and when each criterion would have let one sample (minutes). */
function firstBy(name: WellName, rule: string, changes = low, hours = 2) {
  const minutes = Array.from({ length: hours * 12 }, (_, place) => 5 * (place + 1));
  const wells = minutes.map((minute) => after(name, changes, minute));
  const sets = readingSets(wells.map((well) => ({ values: well.reading() })));
  const moments = wells.map((well, place) => ({ at: minutes[place]! * 60_000, pumped: well.pumped }));
  const [found] = compareCriteria(
    criteria.newest.filter(({ id }) => id === rule),
    sets,
    moments,
    null,
  );
  return { first: found!.first === null ? null : minutes[found!.first]!, heldUpBy: found!.now!.heldUpBy.map(({ parameter }) => parameter) };
}

describe('a simulated well', () => {
  it('reads the same whenever the same was done to it, also after a reload', () => {
    const played = withFlow(begin('slow', shape, gear, 1_000_000, 'a visit'), litres(0.4), 1_060_000);
    const one = new Instruments(played);
    for (let time = 1_000_000; time < 2_000_000; time += 7000) one.at(time);
    const reading = one.at(2_200_000).reading();
    expect(new Instruments(played).at(2_200_000).reading()).toEqual(reading);
    // A pump that is set later changes only what comes later.
    const faster = withFlow(played, litres(0.8), 2_200_000);
    expect(one.at(2_260_000, faster).pumped - one.at(2_200_000, faster).pumped).toBeCloseTo(litres(0.8) * 60, 9);
  });

  it('shows nothing of the well before its water has come through the tubing', () => {
    expect(Math.abs(shown('fast', low, 1, 'conductivity') - shown('fast', low, 0.1, 'conductivity'))).toBeLessThan(5);
    expect(Math.abs(shown('fast', low, 4, 'conductivity') - shown('fast', low, 1, 'conductivity'))).toBeGreaterThan(40);
  });

  it('sounds a tape at its water', () => {
    const well = after('fast', [], 1);
    expect([sounds(well, 7.45, 1), sounds(well, 7.51, 1)]).toEqual([false, true]);
  });

  it('comes to the water of its aquifer, soonest the quick one', () => {
    expect(firstBy('fast', 'nems-groundwater').first).toBeLessThanOrEqual(45);
    expect(firstBy('slow', 'nems-groundwater').first ?? Infinity).toBeGreaterThan(firstBy('fast', 'nems-groundwater').first!);
  });

  it('has oxygen, redox or turbidity settle last (common practice)', () => {
    for (const name of ['fast', 'slow', 'turbid'] as const) {
      const { heldUpBy } = firstBy(name, 'epa-1996', low, 0.5);
      expect(
        heldUpBy.every((id) => ['oxygen', 'redox', 'turbidity'].includes(id)),
        `${name}: ${heldUpBy.join()}`,
      ).toBe(true);
    }
  });

  it('does not hold within the hour where another water is drawn in', () => {
    expect(firstBy('drifting', 'nems-groundwater', low, 1.5).first).toBeNull();
  });

  it('falls far in clay at a flow that sand bears, and little at a trickle', () => {
    const fall = (name: WellName, perMinute: number) => after(name, [{ at: 0, flow: litres(perMinute) }], 20).level - shape.rest;
    expect(fall('fast', 0.4)).toBeLessThan(0.1);
    expect(fall('tight', 0.4)).toBeGreaterThan(0.5);
    expect(fall('tight', 0.03)).toBeLessThan(0.1);
  });

  it('clouds again when it is pumped hard', () => {
    const hard = [...low, { at: 45 * 60, flow: litres(3) }];
    expect(shown('turbid', hard, 50, 'turbidity')).toBeGreaterThan(2 * shown('turbid', low, 50, 'turbidity'));
  });

  it('runs dry where it gives too little, and recovers', () => {
    const changes = [
      { at: 0, flow: litres(2) },
      { at: 20 * 60, flow: 0 },
    ];
    const dry = after('dry', changes, 20);
    expect([dry.isDry, dry.level]).toEqual([true, expect.closeTo(gear.intake, 6)]);
    const later = after('dry', changes, 20 + 12 * 60);
    expect(later.level).toBeLessThan(dry.level - 1);
  });

  it('keeps its numbers within what is possible, whatever is done', () => {
    for (const name of wellNames) {
      const reading = after(name, [{ at: 0, flow: litres(10) }], 30).reading();
      expect(Object.values(reading).every(({ text }) => Number.isFinite(Number(text)) && Number(text) > -500)).toBe(true);
    }
  });
});

import { beforeEach, describe, expect, it } from 'vitest';
import { handing, idOf, lab, protocolNamed, Script, tapPoint } from '../../test/script.ts';
import { struck, type BookEntry } from '../book/index.ts';
import { bottleTables, cardOf } from '../bottles/index.ts';
import { handedOver } from '../custody/index.ts';
import { bottleFilled } from '../fill/index.ts';
import { fold, foresee, nextStep, sayMisfit, sayNext } from '../round/index.ts';
import { protocols, runStarted, stepDone } from '../tap/index.ts';
import { atHome, careFor, fewWords, fillFrom, isForHome, kitGiven, kitPictures, kitPutOut, kitTakenBack } from './index.ts';

const atHomeOnes = protocols.newest.filter(isForHome);

describe('the words of a kit', () => {
  it('are of protocols that there are', () => {
    expect(atHomeOnes.map(({ id }) => id).sort()).toEqual(Object.keys(fewWords).sort());
  });

  it.each(atHomeOnes.map((protocol) => [protocol.id, protocol] as const))('%s: every step has few, and a drawing', (id, protocol) => {
    expect(Object.keys(fewWords[id]!.steps).sort()).toEqual(protocol.steps.map((step) => step.id).sort());
    for (const step of protocol.steps) {
      const { few, step: told } = atHome(protocol, step);
      expect(few!.say.length, step.id).toBeLessThanOrEqual(60);
      expect(kitPictures[few!.picture].length).toBeGreaterThan(0);
      // What is answered, and what an answer does to the sample, is the protocol's.
      expect([told.id, told.departed, told.act.type]).toEqual([step.id, step.departed, step.act.type]);
      if (step.act.type !== 'checks' || told.act.type !== 'checks') continue;
      expect(told.act.items.map(({ id: item, stop, no }) => [item, stop, no])).toEqual(
        step.act.items.map(({ id: item, stop, no }) => [item, stop, no]),
      );
      const known = new Set(step.act.items.map((item) => item.id));
      expect(Object.keys(few!.items ?? {}).filter((item) => !known.has(item))).toEqual([]);
      expect(told.act.items.every(({ label }) => !/\byour employer\b/i.test(label))).toBe(true);
    }
  });

  it('leave out nothing that a household could do: what is left out asks for an instrument', () => {
    for (const protocol of atHomeOnes)
      for (const step of protocol.steps) if (fewWords[protocol.id]!.steps[step.id]!.leftOut) expect(step.act.type).toBe('measure');
  });
});

describe('from when on a household may fill its bottles', () => {
  const card = (holdingHours: number) => ({ ...bottleTables.newest[0]!.rules.bacteria!, holdingHours });
  const pickUp = { date: '2026-11-24', from: '08:00', to: '10:00', where: 'beside the door' };
  // The Azores are an hour behind UTC in winter: the pick-up ends at 11:00 UTC, and four hours on the way are kept free.
  const at = (from: number) => new Date(from).toISOString().slice(0, 16);

  it('hangs on the bottle that keeps shortest, by rule or lab', () => {
    const bottles = [
      { rule: 'bacteria' as const, card: card(24), lab: null },
      { rule: 'metals' as const, card: card(4320), lab: null },
    ];
    const told = fillFrom(bottles, pickUp, 'Atlantic/Azores')!;
    expect([at(told.from), told.hours]).toEqual(['2026-11-23T15:00', 24]);
    const strict = fillFrom([{ ...bottles[0]!, lab }], pickUp, 'Atlantic/Azores')!;
    expect([at(strict.from), strict.hours]).toEqual(['2026-11-23T21:00', 18]);
    expect(fillFrom([], pickUp, 'Atlantic/Azores')).toBeNull();
  });
});

describe('what a household is told', () => {
  const bottleOf = (rule: 'lead' | 'bacteria' | 'pfas533') => ({ card: cardOf(bottleTables.newest[0]!, rule), purpose: 'sample' as const });
  const [fifth, drunk] = [protocolNamed('lead-fifth-litre'), protocolNamed('private-drunk')];

  it('is how many hours nobody may use water', () => {
    const stood = fifth.steps.find(({ id }) => id === 'stood')!;
    // 40 CFR 141.86(b): at least six hours.
    expect(atHome(fifth, stood).step.say).toBe('Count the hours: nobody used any water, for at least 6 hours');
  });

  it('is a caution for what is in its bottles, and a fridge for what wants cold', () => {
    expect(careFor([bottleOf('lead')], [fifth])).toEqual({ caution: null, cold: false });
    expect(careFor([bottleOf('bacteria')], [drunk])).toMatchObject({ cold: true });
    expect(careFor([bottleOf('pfas533')], []).caution).toContain('do not rinse them');
    expect(careFor([{ ...bottleOf('lead'), card: { ...bottleOf('lead').card, preservative: null } }], [drunk]).caution).toContain('bleach');
  });
});

describe('a kit', () => {
  let book: Script;
  const state = () => fold(book.entries)!;
  const next = () => sayNext(nextStep(state())!);
  const misfit = (entry: BookEntry | ReturnType<Script['make']>) => {
    const found = foresee(book.entries, entry).misfit;
    return found ? sayMisfit(found) : null;
  };
  const given = {
    person: idOf(71),
    name: 'House at the bend',
    ways: { 'lead-timed': 'lead-random' },
    pickUp: { date: '2026-11-24', from: '08:00', to: '10:00', where: 'beside the door' },
  };
  /** An entry as it stands once the server has it from a household. */
  const fromHousehold = (entry: ReturnType<Script['make']>) => {
    Object.assign(entry, { doubt: 'from-household' });
    return entry;
  };
  const random = protocolNamed('lead-random');
  const lead = () => state().bottles.find(({ spare }) => !spare)!;
  const at = { procedure: 'lead-timed' };

  beforeEach(() => {
    book = new Script();
    book.plan([], { visits: [{ id: book.tap, point: tapPoint, analyses: ['lead'] }] });
  });

  /** All that the household does, as it comes to us. */
  function walked(): void {
    const all = [
      book.atTap(runStarted, { ...at, protocol: random.id, edition: random.edition }),
      book.atTap(stepDone, {
        ...at,
        step: 'fitness',
        answer: { type: 'checks', yes: ['drinking-tap', 'no-treatment', 'aerator-on'], no: [] },
      }),
      book.atTap(stepDone, { ...at, step: 'not-run', answer: { type: 'checks', yes: ['nothing-run', 'working-hours'], no: [] } }),
      ...state()
        .bottles.filter(({ spare }) => !spare)
        .map(({ id }) => book.atTap(bottleFilled, { bottle: id })),
      book.atTap(stepDone, { ...at, step: 'fill', answer: { type: 'fill' } }),
      book.atTap(stepDone, { ...at, step: 'put-back', answer: { type: 'confirm' } }),
      book.write(kitPutOut, { note: 'the gate is open' }),
    ];
    all.forEach(fromHousehold);
  }
  const takenOver = () => {
    for (const { entry } of state().aside)
      book.write(struck, { entry: entry.id, kind: entry.kind, reason: 'read, bottles looked at', instead: { holds: true } });
  };

  it('is given with its pick-up; nothing is asked of us in the field then', () => {
    expect(next()).toBe('Look round before you touch anything');
    book.write(kitGiven, given);
    expect(next()).toBe('With House at the bend, picked up 24 November 2026, 08:00 to 10:00: beside the door');
    expect(misfit(book.make(kitPutOut, {}))).toBe('No bottle is filled yet.');
    expect(kitGiven.payload.safeParse({ ...given, pickUp: { ...given.pickUp, to: '07:00' } }).success).toBe(false);
  });

  it('is taken back while nothing is filled, and is ours again', () => {
    book.write(kitGiven, given);
    book.write(kitTakenBack, { reason: 'they moved out' });
    expect([state().kit.given, next()]).toEqual([null, 'Look round before you touch anything']);
    book.write(kitGiven, given);
    walked();
    takenOver();
    expect(misfit(book.make(kitTakenBack, { reason: 'too late' }))).toContain('A bottle is filled');
    // Another hour for the pick-up is fine, another household is not.
    expect(misfit(book.make(kitGiven, { ...given, pickUp: { ...given.pickUp, to: '11:00' } }))).toBeNull();
    expect(misfit(book.make(kitGiven, { ...given, person: idOf(72) }))).toContain('A bottle is filled');
  });

  it('is of one point: its link would open the others as well', () => {
    const round = new Script().plan();
    expect(foresee(round.entries, round.make(kitGiven, given)).misfit?.code).toBe('kit-of-one-point');
    expect(misfit(book.make(kitPutOut, {}))).toBe('This round was given to no household.');
  });

  it('counts for nothing until it is taken over, and then as it was written', () => {
    book.write(kitGiven, given);
    walked();
    expect(state().bottles.every(({ filledAt }) => filledAt === null)).toBe(true);
    expect([state().aside.length, state().aside[0]!.misfit.code, state().kit.putOut]).toEqual([
      book.entries.length - 2,
      'from-household',
      null,
    ]);
    expect(next()).toBe(`Settle what stands aside: ${state().aside.length} entries`);
    const filledAt = Date.parse(book.entries.find(bottleFilled.is)!.at.utc);
    takenOver();
    expect(state().aside).toEqual([]);
    expect([lead().filledAt, lead().sample, state().kit.putOut?.note]).toEqual([filledAt, 'routine', 'the gate is open']);
    expect(next()).toBe('Pick it up at House at the bend, 24 November 2026, 08:00 to 10:00: beside the door. They say: the gate is open');
  });

  it('asks nobody to settle what the household has written while it is in the middle', () => {
    book.write(kitGiven, given);
    fromHousehold(book.atTap(runStarted, { ...at, protocol: random.id, edition: random.edition }));
    expect([state().aside.length, next()]).toEqual([
      1,
      'With House at the bend, picked up 24 November 2026, 08:00 to 10:00: beside the door',
    ]);
  });

  it('is with the household until somebody picks it up, and passes on from there', () => {
    book.write(kitGiven, given);
    walked();
    takenOver();
    const filled = state().bottles.filter(({ filledAt }) => filledAt !== null);
    const ids = filled.map(({ id }) => id);
    expect(filled.every(({ holder }) => holder?.party.name === 'House at the bend')).toBe(true);
    expect(misfit(book.make(handedOver, handing(ids)))).toContain('is with House at the bend, who has to hand it over.');
    const { signed: _, ...unsigned } = handing(ids, {
      to: { as: 'person', name: 'Inês Faria' },
      takenBy: '',
      received: { name: 'Inês Faria' },
    });
    book.write(handedOver, { ...unsigned, from: { as: 'household', name: 'House at the bend' } });
    expect(state().aside).toEqual([]);
    expect(lead().holder?.party.name).toBe('Inês Faria');
    expect(next()).toContain('Hand over');
  });
});

import { beforeEach, describe, expect, it } from 'vitest';
import { atTheWell } from '../../test/at-the-well.ts';
import { handing, idOf, lab, Script } from '../../test/script.ts';
import { sayTask } from '../act/index.ts';
import { answerTaken, boxRead, boxStates, CustodyForm, formCsv, handedOver, headText, labAnswered, readHead } from '../custody/index.ts';
import { bottleDiscarded, bottleFilled, bottleLabelled, readCode } from '../fill/index.ts';
import { extraPlanned, labAdded } from '../plan/index.ts';
import { bottlesBoxed } from '../prepare/index.ts';
import { bottlesForReport, custodyForm, fold, formLines, labsOf, overview, roundLine, todayOf } from './index.ts';

let book: Script;
const { state, misfit, purged, fill } = atTheWell(() => book);
const [nitrogen, metals, ammonium] = ['261123A-MW3-N', '261123A-MW3-M', '261123A-MW3-A'];
const coast = { ...lab, id: idOf(31), name: 'Lab of the coast' };
const courier = { as: 'courier' as const, name: 'Ana Reis' };
const fridge = { as: 'place' as const, name: 'Fridge of the market hall' };
const bottle = (id: string) => state().bottles.find((one) => one.id === id)!;

beforeEach(() => {
  book = new Script().plan();
  purged();
  for (const id of [nitrogen, metals, ammonium]) fill(id);
});

describe('a chain of hands', () => {
  const toCourier = (bottles = [nitrogen, metals], more: Parameters<typeof handing>[1] = {}) =>
    book.write(handedOver, handing(bottles, { to: courier, takenBy: '', received: { name: 'Ana Reis' }, ...more }));
  const fromCourier = (to: Parameters<typeof handing>[1], bottles = [nitrogen, metals]) => handing(bottles, { ...to, from: 'Ana Reis' });

  it('may have any number of them; bottles are handed over once they are in the lab', () => {
    toCourier();
    expect([bottle(nitrogen).stage, bottle(nitrogen).holder?.party.name, bottle(ammonium).holder]).toEqual(['filled', 'Ana Reis', null]);
    book.write(handedOver, { ...fromCourier({ to: fridge, takenBy: '' }), from: courier });
    expect(bottle(metals).holder?.party).toEqual(fridge);
    const night = { ...handing([nitrogen, metals], { takenBy: 'Night desk' }), from: fridge };
    delete (night as { signed?: unknown }).signed;
    book.write(handedOver, night);
    expect([bottle(nitrogen).stage, state().custody.legs.length, state().handOvers.length]).toEqual(['handed-over', 3, 1]);
    expect(state().aside).toEqual([]);
  });

  it('is told in short by who has how much, and since when: what stands in a fridge over night is not forgotten', () => {
    expect(overview(state()).held).toEqual([]);
    const leg = toCourier();
    const since = Date.parse(leg.at.utc);
    expect(overview(state()).held).toEqual([
      { as: 'courier', name: 'Ana Reis', count: 2, since, deadline: bottle(nitrogen).holding!.deadline },
    ]);
    const cold = book.write(handedOver, { ...fromCourier({ to: fridge, takenBy: '' }, [metals]), from: courier });
    expect(overview(state()).held).toEqual([
      { as: 'courier', name: 'Ana Reis', count: 1, since, deadline: bottle(nitrogen).holding!.deadline },
      { as: 'place', name: fridge.name, count: 1, since: Date.parse(cold.at.utc), deadline: bottle(metals).holding!.deadline },
    ]);
    book.write(handedOver, { ...fromCourier({}, [nitrogen]), from: courier });
    expect(overview(state()).held.map(({ name }) => name)).toEqual([fridge.name]);
  });

  it('has each bottle in one place: what a courier has is not listed as in our cooler', () => {
    toCourier();
    const { bottles } = todayOf([roundLine('a', state())], '2026-11-23');
    expect(bottles.first.map(({ item }) => [item.bottle, item.holder])).toEqual([[ammonium, null]]);
    book.write(handedOver, {
      ...fromCourier({ to: { as: 'person', name: 'Rui Costa' }, takenBy: '', received: { name: 'Rui Costa' } }, [metals]),
      from: courier,
    });
    expect(
      todayOf([roundLine('a', state())], '2026-11-23')
        .bottles.first.map(({ item }) => [item.bottle, item.holder?.name])
        .sort(),
    ).toEqual([
      [ammonium, undefined],
      [metals, 'Rui Costa'],
    ]);
  });

  it('is broken by whoever hands over what somebody else has, or hands it over twice', () => {
    toCourier();
    expect(misfit(book.make(handedOver, handing([nitrogen])))?.message).toBe(`${nitrogen} is with Ana Reis, who has to hand it over.`);
    book.write(handedOver, { ...fromCourier({}), from: courier });
    expect(misfit(book.make(handedOver, { ...fromCourier({}), from: courier }))?.message).toContain('is not in the cooler');
    expect(misfit(book.make(handedOver, handing([ammonium, ammonium])))?.message).toBe(`${ammonium} is on the form twice.`);
  });

  it('dated before its bottles were filled does not fit', () => {
    book.now -= 60 * 60_000;
    const early = book.make(handedOver, handing([nitrogen]));
    book.now += 60 * 60_000;
    expect(misfit(early)?.message).toContain('not filled');
  });

  it('names the bottle that was not found; it is owed until it turns up', () => {
    toCourier([nitrogen], { left: [{ bottle: metals, why: 'missing' }] });
    expect(bottle(metals).lost).toEqual({ how: 'missing', reason: 'Not found when Inês Faria handed over to Ana Reis.' });
    expect(state().followUps.map(({ task }) => sayTask(task).do)).toEqual([`Look for ${metals}; sample again if it is lost.`]);
    toCourier([metals]);
    expect([bottle(metals).lost, bottle(metals).holder?.party.name, state().followUps]).toEqual([null, 'Ana Reis', []]);
  });

  it('stays with who had a bottle that was not taken', () => {
    toCourier([nitrogen], { left: [{ bottle: metals, why: 'not-taken' }] });
    expect([bottle(metals).lost, bottle(metals).holder]).toEqual([null, null]);
  });
});

describe('several labs', () => {
  beforeEach(() => {
    book.write(labAdded, { lab: coast, bottles: ['metals'], splits: true });
  });

  it('get what goes to each, and nothing else', () => {
    expect([bottle(metals).lab?.name, bottle(nitrogen).lab?.name]).toEqual(['Lab of the coast', lab.name]);
    expect(labsOf(state()).map(({ name }) => name)).toEqual([lab.name, 'Lab of the coast']);
    expect(misfit(book.make(handedOver, handing([nitrogen, metals])))?.message).toBe(`${metals} goes to Lab of the coast.`);
    book.write(handedOver, handing([metals], { to: { as: 'lab', lab: coast.id } }));
    expect(bottle(metals).stage).toBe('handed-over');
  });

  it('get the two halves of a split, which are told apart by their labels', () => {
    book.atWell(extraPlanned, { analysis: 'nutrients', purpose: 'split' });
    const split = bottle('261123A-MW3-N-S');
    expect([split.lab?.name, split.purpose]).toEqual(['Lab of the coast', 'split']);
  });

  it('answer each in its way, the one without a desk by a person', () => {
    const { id } = book.write(handedOver, handing([metals], { to: { as: 'lab', lab: coast.id } }));
    const said = { handOver: id, reference: 'CL-7', how: 'mail' as const, whom: 'Reception' };
    expect(misfit(book.make(answerTaken, { ...said, bottles: [{ bottle: nitrogen, accepted: true }] }))?.message).toContain(
      'not on that form',
    );
    book.write(answerTaken, { ...said, bottles: [{ bottle: metals, accepted: true }] });
    expect(bottle(metals).accepted).toBe(true);
    const called = { ...said, how: 'phone' as const, bottles: [{ bottle: metals, accepted: false, reason: 'broke on the bench' }] };
    expect(misfit(book.make(answerTaken, { ...called, reference: 'CL-8' }))?.message).toContain('CL-7');
    book.write(answerTaken, called);
    expect(bottle(metals).lost).toEqual({ how: 'refused', reason: 'broke on the bench' });
    expect(state().followUps.map(({ task }) => sayTask(task).do)).toEqual([
      'Call Lab of the coast, CL-7: will it test what it refused with a note, and what does it want next time?',
      `Sample again: the lab refused ${metals}.`,
    ]);
  });
});

it('takes the lab’s answers as they come: of what is open nothing is said, and the later word holds', () => {
  const { id } = book.write(handedOver, handing([nitrogen, metals]));
  book.write(labAnswered, { handOver: id, reference: 'L-1', bottles: [] });
  expect([bottle(nitrogen).accepted, state().handOvers[0]!.answer?.reference]).toEqual([null, 'L-1']);
  book.write(labAnswered, { handOver: id, reference: 'L-1', bottles: [{ bottle: nitrogen, accepted: true }] });
  book.write(labAnswered, { handOver: id, reference: 'L-1', bottles: [{ bottle: metals, accepted: false, reason: 'Warm' }] });
  expect([bottle(nitrogen).accepted, bottle(metals).accepted]).toEqual([true, false]);
  expect(
    misfit(book.make(labAnswered, { handOver: id, reference: 'L-1', bottles: [{ bottle: nitrogen, accepted: true }] }))?.message,
  ).toContain('already');
});

it('keeps what was read of each box, and what stands in it', () => {
  const box = { id: idOf(41), name: 'Blue box', holds: 0.03 };
  book.write(bottlesBoxed, { box, bottles: [nitrogen, ammonium] });
  book.write(boxRead, { box: { box: box.id, name: box.name }, when: 'packing', cold: 'packs', temperature: { text: '41', unit: 'degF' } });
  book.write(boxRead, { box: { box: box.id, name: box.name }, when: 'way', temperature: { text: '7,5', unit: 'degC' } });
  const [blue, loose] = boxStates(formLines(state()), state().prepare.boxed, state().custody)
    .sort((a, b) => b.box.name.localeCompare(a.box.name))
    .reverse();
  expect([blue!.lines.map((line) => line.bottle.id), blue!.now.temperature, blue!.now.cold, blue!.readings.length]).toEqual([
    [nitrogen, ammonium],
    7.5,
    'packs',
    2,
  ]);
  expect([loose!.box.name, loose!.lines.map((line) => line.bottle.id)]).toEqual(['Cooler', [metals]]);
});

describe('a blind duplicate', () => {
  const as = { code: 'ZB4', name: 'Fountain of the upper square' };
  beforeEach(() => {
    book.atWell(extraPlanned, { analysis: 'nutrients', purpose: 'blind-duplicate', as });
  });

  it('says nothing to its lab of what it is, and is known to the book', () => {
    const blind = bottle('261123A-ZB4-N');
    fill(blind.id);
    const { fields, bottle: onForm } = formLines(state()).find((line) => line.bottle.id === blind.id)!;
    const twin = formLines(state()).find((line) => line.bottle.id === nitrogen)!;
    const earlier = (bottle(blind.id).filledAt! - onForm.filledAt!) / 60_000;
    expect([earlier >= 11 && earlier <= 29, fields.collectedAt === twin.fields.collectedAt]).toEqual([true, false]);
    // The lab reports the time that its form said: it is held against that one.
    expect(bottlesForReport(state()).get(blind.id)?.filledTime).toBe(fields.collectedAt);
    expect([fields.point, fields.pointCode, fields.purpose]).toEqual(['Fountain of the upper square', 'ZB4', 'Sample']);
    expect(JSON.stringify(fields)).not.toMatch(/MW3|Tannery|Lomba/);
    expect([blind.visit, blind.purpose]).toEqual([book.well, 'blind-duplicate']);
  });

  it('takes no name that a point of the round has', () => {
    const named = (code: string) =>
      misfit(book.make(extraPlanned, { analysis: 'metals', purpose: 'blind-duplicate', as: { ...as, code } }, book.well));
    expect([named('MH1')?.message, named('ZB4')]).toEqual([expect.stringContaining('MH1'), undefined]);
    const elsewhere = book.make(extraPlanned, { analysis: 'coliforms', purpose: 'blind-duplicate', as }, book.tap);
    expect(misfit(elsewhere)?.message).toContain('ZB4');
  });
});

describe('a label', () => {
  it('is read whatever the scanner makes of its letters, and the wrong bottle is named', () => {
    const read = (text: string) => readCode(text, { id: nitrogen }, state().bottles);
    expect(read(` ${nitrogen.toLowerCase()} `)).toEqual({ is: 'this' });
    expect(read(metals)).toEqual({ is: 'other', bottle: metals, visit: book.well });
    expect(read('PN-00017')).toEqual({ is: 'unknown', code: 'PN-00017' });
    expect(read('  ')).toBeNull();
  });

  it('may be the lab’s own code, which then is of one bottle', () => {
    book.atWell(bottleLabelled, { bottle: nitrogen, how: 'scanned', code: 'PN-00017' });
    expect(readCode('pn-00017', { id: nitrogen }, state().bottles)).toEqual({ is: 'this' });
    const again = (code: string) => misfit(book.make(bottleLabelled, { bottle: metals, how: 'scanned', code }, book.well))?.message;
    expect([again('PN-00017'), again('261123A-MH1-B'), again('PN-00018')]).toEqual([
      expect.stringContaining(nitrogen),
      expect.stringContaining('261123A-MH1-B'),
      undefined,
    ]);
    // Looked at again it keeps its other name.
    book.atWell(bottleLabelled, { bottle: nitrogen, how: 'by-eye' });
    expect(bottle(nitrogen).code).toBe('PN-00017');
  });

  it('of a bottle that was thrown away is of no use', () => {
    book.atWell(bottleDiscarded, { bottle: nitrogen, reason: 'underfilled' });
    expect(misfit(book.make(bottleLabelled, { bottle: nitrogen, how: 'by-eye' }, book.well))?.message).toContain('thrown away');
  });
});

it('tells the lab of water that was too turbid to filter, and takes its metals for those of the whole water', () => {
  book.atWell(bottleDiscarded, { bottle: metals, reason: 'other', note: 'half filtered' });
  const again = `${metals}2`;
  book.atWell(bottleFilled, { bottle: again, unfiltered: 'too turbid' });
  const line = formLines(state()).find(({ bottle: { id } }) => id === again)!;
  expect([line.fields.filtered, line.sampleType]).toEqual(['No: too turbid', 'special']);
});

describe('the form', () => {
  const quoted = {
    ...lab,
    form: [
      { field: 'quote' as const, always: 'Q-7' },
      { field: 'facility' as const },
      { field: 'point' as const },
      { field: 'collectedAt' as const },
    ],
  };
  const head = { book: idOf(50), count: 12, hash: '0123456789abcdef'.repeat(4) };

  beforeEach(() => {
    book = new Script().plan(['coliforms'], { lab: quoted });
    purged();
    fill(nitrogen);
    fill(metals);
    book.write(
      handedOver,
      handing([nitrogen, metals], { to: courier, takenBy: '', received: { name: 'Ana Reis', drawn: [[100, 100, 400, 200]] } }),
    );
    book.write(handedOver, { ...handing([nitrogen], { from: 'Ana Reis', said: { facility: '=PA-04' } }), from: courier });
  });
  const form = () => custodyForm(state(), state().handOvers[0]!, head);

  it('has the fields of its lab, in its order, from book, register and hand, and every hand that its bottles went through', () => {
    const made = form();
    expect(CustodyForm.parse(made)).toEqual(made);
    expect(made.fields.map(({ name, value }) => [name, value])).toEqual([
      ['Quote or order', 'Q-7'],
      ['Number of the facility', '=PA-04'],
    ]);
    expect(made.columns.map(({ field }) => field)).toEqual(['point', 'collectedAt']);
    expect(made.bottles).toMatchObject([{ bottle: nitrogen, values: { point: 'Tannery 3' }, legs: [1, 2] }]);
    expect(made.legs.map(({ from, to, signed, received }) => [from, to, signed?.name, received?.drawn?.length])).toEqual([
      ['Inês Faria', 'Ana Reis', 'Inês Faria', 1],
      ['Ana Reis', lab.name, 'Ana Reis', undefined],
    ]);
  });

  it('is a table, too, in which nothing runs as a formula', () => {
    const [titles, row] = formCsv(form()).split('\r\n');
    expect(titles).toBe('Bottle,Box,Point,Collected at,Condition,Lab,Round,Quote or order,Number of the facility,Book');
    expect(row).toContain("'=PA-04");
    expect(row).toContain(headText(head));
  });

  it('bears the head of the book, which is read again as it was printed, with blanks and without', () => {
    expect(readHead(headText(head))).toEqual({ count: 12, hash: head.hash });
    expect(readHead(` 12 : ${head.hash.toUpperCase().match(/.{4}/g)!.join(' ')} `)).toEqual({ count: 12, hash: head.hash });
    expect([readHead('12:abc'), readHead(''), readHead(`0:${head.hash}`)]).toEqual([null, null, null]);
  });

  it('of a round without a lab has what forms usually ask for', () => {
    book = new Script().plan(['coliforms'], { lab: null });
    purged();
    fill(nitrogen);
    const { id } = book.write(handedOver, handing([nitrogen], { to: { as: 'lab', name: 'Lab of the next island' } }));
    const made = custodyForm(
      fold(book.entries)!,
      state().handOvers.find(({ entry }) => entry === id)!,
      null,
    );
    expect([made.lab, made.head, made.columns.length > 5]).toEqual(['Lab of the next island', null, true]);
  });
});

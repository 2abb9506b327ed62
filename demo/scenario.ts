import { newId, writeEntry, type Entry, type EntryKind } from '@fonte/core/book';
import { server } from '@fonte/core/roles';
import { fitnessJudged, riskChecked } from '@fonte/core/arrive';
import { checkRow, instrumentChecked, unitOf, type CheckId } from '@fonte/core/prepare';
import { programmeRegistered } from '@fonte/core/due';
import { handedOver } from '@fonte/core/custody';
import { bottleFilled } from '@fonte/core/fill';
import { levelRead } from '@fonte/core/level';
import { bottlesPacked, roundPlanned } from '@fonte/core/plan';
import {
  boxRegistered,
  instrumentRegistered,
  labRegistered,
  lotRegistered,
  personRegistered,
  pointRegistered,
  type Person,
  type Point,
} from '@fonte/core/registers';
import { editionsOn } from '@fonte/core/round';
import { clockStarted, protocols, runStarted, stepDone, stepsAt, type Step, type StepAnswer } from '@fonte/core/tap';
import { atWall, day, minute, wallTime } from '@fonte/core/time';
import type { z } from 'zod';
import { levelHistory } from './data/history.ts';
import { boxes, coastLab, device, instruments, lab, lots, people, points, programmes, zone } from './data/registers.ts';

const [technician, coordinator] = people as [Person, Person];
const system = 'Marenta municipal supply';
const pointOf = (code: string): Point => points.find((point) => point.code === code)!;

/** Writes one round's book at moments of the demo's choosing. */
class Author {
  readonly entries: Entry[] = [];
  readonly book: string;

  constructor(
    public now: number,
    book?: string,
  ) {
    this.book = book ?? newId(now);
  }

  write<K extends string, S extends z.ZodType>(
    kind: EntryKind<K, S>,
    payload: z.input<S>,
    after = minute,
    visit: string | null = null,
  ): Entry {
    this.now += after;
    const pen = { book: this.book, author: technician.id, device, now: this.now, offset: -60 };
    const entry = writeEntry(pen, kind, payload, { visit });
    this.entries.push(entry);
    return entry;
  }

  /** At one of its points. */
  at<K extends string, S extends z.ZodType>(visit: string, kind: EntryKind<K, S>, payload: z.input<S>, after = minute): Entry {
    return this.write(kind, payload, after, visit);
  }
}

const codeOf = (moment: number, letter: string) => `${wallTime(moment, zone).date.slice(2).replaceAll('-', '')}${letter}`;

/** The registers: people, lab and points of Marenta, each in a book of its own. */
export function registers(start: number): Entry[] {
  const now = start - 760 * day;
  const at = (book: string, author: string) => ({ book, author, device: author === server ? server : device, now, offset: -60 });
  return [
    ...people.map((person) => writeEntry(at(person.id, server), personRegistered, person)),
    ...[lab, coastLab].map((one) => writeEntry(at(one.id, coordinator.id), labRegistered, one)),
    ...points.map((point) => writeEntry(at(point.id, coordinator.id), pointRegistered, point)),
    ...instruments.map((one) => writeEntry(at(one.id, coordinator.id), instrumentRegistered, one)),
    ...lots.map((one) => writeEntry(at(one.id, coordinator.id), lotRegistered, one)),
    // They begin this month: a demo that begins with what was missed tells nothing.
    ...programmes.map((one) => {
      const from = `${wallTime(start, zone).date.slice(0, 7)}-01`;
      return writeEntry(at(one.id, coordinator.id), programmeRegistered, { ...one, from });
    }),
    ...boxes.map((one) => writeEntry(at(one.id, coordinator.id), boxRegistered, one)),
  ];
}

/** Two years of quarterly level rounds at the tannery's wells. */
export function levelRounds(start: number): Entry[] {
  return levelHistory.flatMap(({ daysAgo, depths }) => {
    const round = new Author(start - daysAgo * day);
    const visits = Object.keys(depths).map((code) => ({ id: newId(round.now), point: pointOf(code), analyses: [] }));
    round.write(roundPlanned, {
      name: 'Quarterly levels, tannery',
      code: codeOf(round.now, 'L'),
      system: 'Tannery wells',
      date: wallTime(round.now, zone).date,
      zone,
      lab: null,
      editions: editionsOn(wallTime(round.now, zone).date),
      visits,
    });
    const isLast = daysAgo === Math.min(...levelHistory.map((one) => one.daysAgo));
    for (const visit of visits) {
      if (isLast && visit.point.code === 'MW3') {
        round.at(visit.id, riskChecked, { hazards: ['insects', 'contaminated'], left: false });
        round.at(visit.id, fitnessJudged, { found: [{ fault: 'plants', isDone: true }], odd: 'Wasps under the cap: knock first' });
      }
      const text = depths[visit.point.code as keyof typeof depths];
      const reading = {
        measuringPoint: 'North rim of the casing',
        depth: { text, unit: 'm' as const },
        water: 'static' as const,
      };
      round.at(visit.id, levelRead, reading, 20 * minute);
      round.at(visit.id, levelRead, reading);
    }
    return round.entries;
  });
}

/** How the demo's own runs were answered: of bacteria in the network, which measure nothing until it is constant. */
function answerTo({ act }: Step): StepAnswer {
  switch (act.type) {
    case 'checks':
      return { type: 'checks', yes: act.items.map((item) => item.id), no: [] };
    case 'choose':
      return { type: 'choose', option: 'bleach' };
    case 'measure':
      return { type: 'measure', reading: { text: act.parameter === 'temperature' ? '17.8' : '0.41', unit: act.unit } };
    case 'constant':
    case 'since':
    case 'times':
      throw new Error(`no run of the demo asks for ${act.type}`);
    default:
      return { type: act.type };
  }
}

/** The instruments are checked before the van leaves, some of them as an hour before. */
function checkInstruments(round: Author, made: readonly [check: CheckId, reading: string | null][]): void {
  for (const [check, text] of made) {
    const { kind, parameter: of, isOfLot, nominal } = checkRow(check);
    const { id, name, serial } = instruments.find((one) => one.kind === kind)!;
    const unit = unitOf(check) ?? '1';
    const lot = lots.find((one) => isOfLot && one.parameter === of && (check === 'probe-ph-slope' ? one.nominal === 4.01 : true))!;
    round.write(instrumentChecked, {
      instrument: { id, name, kind, ...(serial ? { serial } : {}) },
      check,
      isAdjusted: false,
      ...(text === null ? { isGood: true } : { reading: { text, unit }, nominal: { text: String(lot?.nominal ?? nominal ?? text), unit } }),
      ...(isOfLot ? { standard: { name: lot.name, lot: lot.lot, expires: lot.expires } } : {}),
    });
  }
}

/** The school, sampled the day before: handed over, so that its report is waiting. */
export function schoolRound(start: number): { entries: Entry[]; book: string; handOver: string } {
  const round = new Author(atWall(wallTime(start - 5 * day, zone).date, '08:30', zone));
  const visit = newId(round.now);
  const code = codeOf(round.now, 'A');
  round.write(roundPlanned, {
    name: 'School tap',
    code,
    system,
    date: wallTime(round.now, zone).date,
    zone,
    lab,
    editions: editionsOn(wallTime(start, zone).date),
    visits: [{ id: visit, point: pointOf('SC1'), analyses: ['coliforms', 'metals'] }],
  });
  checkInstruments(round, [
    ['photometer-zero', '0.01'],
    ['photometer-standard', '1.00'],
  ]);
  const bottles = { bacteria: `${code}-SC1-B`, metals: `${code}-SC1-M` };
  round.write(bottlesPacked, { bottles: Object.values(bottles) });
  const protocol = protocols.newest.find(({ id }) => id === 'coliforms-distribution')!;
  const procedure = protocol.id;
  round.at(visit, runStarted, { procedure, protocol: protocol.id, edition: protocol.edition }, 30 * minute);
  const answers = new Map<string, StepAnswer>();
  const next = () => stepsAt(protocol, pointOf('SC1'), answers).find(({ id }) => !answers.has(id));
  for (let step = next(); step; step = next()) {
    answers.set(step.id, answerTo(step));
    if (step.act.type === 'clock') round.at(visit, clockStarted, { procedure, step: step.id });
    if (step.act.type === 'fill') round.at(visit, bottleFilled, { bottle: bottles.bacteria });
    round.at(
      visit,
      stepDone,
      { procedure, step: step.id, answer: answerTo(step) },
      2 * minute + (step.act.type === 'clock' ? step.act.least * 1000 : 0),
    );
  }
  round.at(visit, bottleFilled, { bottle: bottles.metals }, 3 * minute);
  const handOver = round.write(
    handedOver,
    handedOver.payload.parse({
      from: { as: 'person', name: technician.name },
      to: { as: 'lab', lab: lab.id, name: lab.name },
      takenBy: 'Intake desk',
      boxes: [{ box: '', name: 'Cooler', temperature: { text: '4.6', unit: 'degC' }, seal: '0412' }],
      bottles: Object.values(bottles).map((bottle) => ({ bottle, condition: 'good' as const })),
      counted: Object.values(bottles).length,
      signed: { name: technician.name },
    }),
    60 * minute,
  );
  return { entries: round.entries, book: round.book, handOver: handOver.id };
}

/** Today: the downstream well of the tannery and the market hall. */
export function todayRound(start: number): Entry[] {
  const round = new Author(start - 90 * minute);
  const visits = [
    { id: newId(round.now), point: pointOf('MW3'), analyses: ['general', 'nutrients', 'metals'] as const },
    { id: newId(round.now), point: pointOf('MH1'), analyses: ['coliforms'] as const },
  ];
  const code = codeOf(start, 'A');
  round.write(roundPlanned, {
    name: 'Tannery and market hall',
    code,
    system,
    date: wallTime(start, zone).date,
    zone,
    lab,
    editions: editionsOn(wallTime(start, zone).date),
    visits: visits.map((visit) => ({ ...visit, analyses: [...visit.analyses] })),
  });
  round.write(
    bottlesPacked,
    { bottles: ['M', 'N', 'A', 'G'].map((letter) => `${code}-MW3-${letter}`).concat(`${code}-MH1-B`) },
    20 * minute,
  );
  checkInstruments(round, [
    ['photometer-zero', '0.00'],
    ['photometer-standard', '0.98'],
    ['photometer-total-zero', '0.01'],
    ['photometer-total-standard', '1.02'],
    ['probe-ph7', '7.03'],
    ['probe-ph-slope', '4.04'],
    ['probe-conductivity', '1398'],
    ['probe-oxygen', '9.31'],
    ['tape-signal', null],
    ['tape-marks', null],
  ]);
  return round.entries;
}

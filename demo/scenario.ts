import { newId, writeEntry, type Entry, type EntryKind } from '@fonte/core/book';
import { handedOver } from '@fonte/core/custody';
import { bottleFilled } from '@fonte/core/fill';
import { levelRead } from '@fonte/core/level';
import { bottlesPacked, roundPlanned } from '@fonte/core/plan';
import { labRegistered, personRegistered, pointRegistered, type Point } from '@fonte/core/registers';
import { clockStarted, protocols, runStarted, stepDone, type Step, type StepAnswer } from '@fonte/core/tap';
import { atWall, day, minute, wallTime } from '@fonte/core/time';
import type { z } from 'zod';
import { levelHistory } from './data/history.ts';
import { lab, people, points, zone } from './data/registers.ts';

const author = people[0]!.id;
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

  write<K extends string, S extends z.ZodType>(kind: EntryKind<K, S>, payload: z.input<S>, after = minute): Entry {
    this.now += after;
    const entry = writeEntry({ book: this.book, author, now: this.now, offset: -60 }, kind, payload);
    this.entries.push(entry);
    return entry;
  }
}

const codeOf = (moment: number, letter: string) => `${wallTime(moment, zone).date.slice(2).replaceAll('-', '')}${letter}`;

/** The registers: people, lab and points of Marenta. */
export function registers(start: number): Entry[] {
  const org = new Author(start - 760 * day, 'org');
  for (const person of people) org.write(personRegistered, person);
  org.write(labRegistered, lab);
  for (const point of points) org.write(pointRegistered, point);
  return org.entries;
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
      visits,
    });
    for (const visit of visits) {
      const text = depths[visit.point.code as keyof typeof depths];
      const reading = {
        visit: visit.id,
        measuringPoint: 'North rim of the casing',
        depth: { text, unit: 'm' as const },
        water: 'static' as const,
      };
      round.write(levelRead, reading, 20 * minute);
      round.write(levelRead, reading);
    }
    return round.entries;
  });
}

function answerTo({ act }: Step): StepAnswer {
  switch (act.type) {
    case 'checks':
      return { type: 'checks', yes: act.items.map((item) => item.id), no: [] };
    case 'choose':
      return { type: 'choose', option: 'bleach' };
    case 'measure':
      return { type: 'measure', reading: { text: act.parameter === 'temperature' ? '17.8' : '0.41', unit: act.unit } };
    default:
      return { type: act.type };
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
    visits: [{ id: visit, point: pointOf('SC1'), analyses: ['coliforms', 'metals'] }],
  });
  const bottles = { bacteria: `${code}-SC1-B`, metals: `${code}-SC1-M` };
  round.write(bottlesPacked, { bottles: Object.values(bottles) });
  const protocol = protocols[0];
  round.write(runStarted, { visit, protocol: protocol.id, edition: protocol.edition }, 30 * minute);
  for (const step of protocol.steps.filter((candidate) => !candidate.when?.chosen.includes('flame'))) {
    if (step.act.type === 'clock') round.write(clockStarted, { visit, step: step.id });
    if (step.act.type === 'fill') round.write(bottleFilled, { visit, bottle: bottles.bacteria });
    round.write(
      stepDone,
      { visit, step: step.id, answer: answerTo(step) },
      2 * minute + (step.act.type === 'clock' ? step.act.least * 1000 : 0),
    );
  }
  round.write(bottleFilled, { visit, bottle: bottles.metals }, 3 * minute);
  const handOver = round.write(
    handedOver,
    {
      to: lab.id,
      releasedBy: people[0]!.name,
      receivedBy: 'Intake desk',
      coolerTemperature: { text: '4.6', unit: 'degC' },
      seal: '0412',
      signature: people[0]!.name,
      bottles: Object.values(bottles).map((bottle) => ({ bottle, condition: 'good' as const })),
    },
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
    visits: visits.map((visit) => ({ ...visit, analyses: [...visit.analyses] })),
  });
  round.write(
    bottlesPacked,
    { bottles: ['M', 'N', 'A', 'G'].map((letter) => `${code}-MW3-${letter}`).concat(`${code}-MH1-B`) },
    20 * minute,
  );
  return round.entries;
}

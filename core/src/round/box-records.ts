import { bandOf, looseBox, outOfBand, recordedAt, type Band, type BoxRecording, type OutOfBand } from '../custody/index.ts';
import type { Finding } from '../findings/index.ts';
import { hour, minute } from '../time/index.ts';
import { base } from '../units/index.ts';
import type { BottleState } from './bottle.ts';
import type { RoundState } from './fold.ts';

/** Two thermometers further apart than this (°C) are asked about: a box has warmer and colder places. Common practice. */
const apart = 4;
/** Median of a box that is more likely told in °F, in °C. */
const likelyFahrenheit = 33;
/** Clocks of devices may be so far apart (ms). */
const clockSlack = 5 * minute;

/** A record with what is asked about it before it stands in the book. */
export type RecordOfBox = Pick<BoxRecording, 'box' | 'course' | 'gaps'> & { entry?: string };

/** A bottle that rode in a recorded box: from when to when (ms), and what the record says of that time. */
export interface RecordedBottle {
  bottle: BottleState;
  band: Band | null;
  from: number;
  to: number;
  out: OutOfBand;
}

/** The bottles that are in a box, or were as they changed hands last. */
export function bottlesIn({ bottles, custody, prepare }: RoundState, box: string): BottleState[] {
  return bottles.filter(({ id, place, filledAt, lost }) => {
    if (filledAt === null || lost?.how === 'discarded') return false;
    const leg = custody.legs.findLast(({ form }) => form.bottles.some(({ bottle }) => bottle === id));
    const line = leg?.form.bottles.find(({ bottle }) => bottle === id);
    return (line ? line.box : (prepare.boxed.get(place)?.id ?? '')) === box;
  });
}

/** When a bottle came to its lab (ms); null while it is on its way. */
const deliveredAt = ({ custody }: RoundState, bottle: string): number | null =>
  custody.legs.findLast(({ form }) => form.to.as === 'lab' && form.bottles.some((line) => line.bottle === bottle))?.at ?? null;

/** The time of which a record of a box tells something: from an hour before its first bottle to an hour after its last (ms); null for a box without bottles. */
export function timeOfBox(round: RoundState, box: string, now: number): { from: number; to: number } | null {
  const bottles = bottlesIn(round, box);
  if (bottles.length === 0) return null;
  const ends = bottles.map(({ id }) => deliveredAt(round, id) ?? now);
  return { from: Math.min(...bottles.map(({ filledAt }) => filledAt!)) - hour, to: Math.max(...ends) + hour };
}

/** What a record says of each bottle of its box, the one longest out of its band first. */
export function recordedBottles(round: RoundState, { box, course, gaps }: RecordOfBox, now: number): RecordedBottle[] {
  return bottlesIn(round, box.box)
    .map((bottle) => {
      const [band, from, to] = [bandOf({ bottle, lab: bottle.lab }), bottle.filledAt!, deliveredAt(round, bottle.id) ?? now];
      return { bottle, band, from, to, out: outOfBand(course, gaps, band, from, to) };
    })
    .sort((a, b) => b.out.above + b.out.below - a.out.above - a.out.below);
}

/** What the last record of its box says of a bottle; null where nothing was recorded there, or the bottle was in no box. */
export function recordOfBottle(round: RoundState, bottle: string, now: number): (RecordedBottle & { name: string }) | null {
  for (const record of round.custody.records.toReversed()) {
    const found = recordedBottles(round, record, now).find((one) => one.bottle.id === bottle);
    if (found) return { ...found, name: record.box.name };
  }
  return null;
}

const question = (code: string, data: Finding['data']): Finding => ({ code, severity: 'question', field: 'recording', data });

/** What is to be asked about a record of a box: warmth and cold of its bottles, what it leaves out, and what does not agree with readings by hand. */
export function recordFindings(round: RoundState, record: RecordOfBox, now: number): Finding[] {
  const { box, course, gaps } = record;
  if (course.length === 0) return [{ code: 'record-elsewhere', severity: 'stop', field: 'recording' }];
  const name = box.name;
  const values = course.map(([, value]) => value).toSorted((a, b) => a - b);
  const median = values[values.length >> 1]!;
  const found: Finding[] = [];
  if (median >= likelyFahrenheit) found.push(question('likely-fahrenheit', { text: median.toFixed(1), as: ((median - 32) * 5) / 9 }));
  if (course.at(-1)![0] > now + clockSlack) found.push(question('record-ahead', { by: course.at(-1)![0] - now }));
  const bottles = recordedBottles(round, record, now);
  const warm = bottles.toSorted((a, b) => b.out.above - a.out.above)[0];
  if (warm?.band && warm.out.above > 0)
    found.push(
      question('record-above', { box: name, bottle: warm.bottle.id, for: warm.out.above, most: warm.band.most, is: warm.out.warmest! }),
    );
  const cold = bottles.toSorted((a, b) => b.out.below - a.out.below)[0];
  if (cold?.band && cold.out.below > 0)
    found.push(
      question('record-below', { box: name, bottle: cold.bottle.id, for: cold.out.below, least: cold.band.least, is: cold.out.coldest! }),
    );
  // A logger that is taken out a moment early or put in a moment late leaves nothing out.
  const unseen = bottles.toSorted((a, b) => b.out.unseen - a.out.unseen)[0];
  // What a logger had not recorded yet when it was read out first is told by the record that came after it.
  const ofBox = round.custody.records.filter((one) => one.box.box === box.box);
  const isLast = record.entry === undefined || ofBox.at(-1)?.entry === record.entry;
  if (isLast && unseen && unseen.out.unseen > 2 * clockSlack)
    found.push(question('record-unseen', { bottle: unseen.bottle.id, for: unseen.out.unseen, gaps: gaps.length }));
  for (const {
    box: { box: id },
    at,
    temperature,
  } of round.custody.boxes) {
    const says = id === box.box && temperature ? recordedAt(course, gaps, at) : null;
    if (says !== null && Math.abs(says - base(temperature!)) > apart)
      found.push(question('record-differs', { box: name, at, hand: base(temperature!), is: says }));
  }
  return found;
}

/** The name of a box as this round knows it; null where it has no such box. */
export function boxName({ prepare, custody }: RoundState, box: string): string | null {
  if (box === looseBox.id) return looseBox.name;
  const known = [...prepare.boxed.values()].find(({ id }) => id === box);
  return known?.name ?? custody.legs.flatMap(({ form }) => form.boxes).find((one) => one.box === box)?.name ?? null;
}

import { newId, struck, writeEntry, type AnyKind, type Entry, type EntryKind } from '../src/book/index.ts';
import type { AnalysisId } from '../src/bottles/index.ts';
import { roundPlanned } from '../src/plan/index.ts';
import type { TapPoint } from '../src/registers/index.ts';
import { editionsOn } from '../src/round/index.ts';
import { instantAt, minute } from '../src/time/index.ts';
import { fitnessJudged, riskChecked } from '../src/arrive/index.ts';
import { handedOver, type BottleCondition } from '../src/custody/index.ts';
import { bottleFilled } from '../src/fill/index.ts';
import {
  clockStarted,
  procedureOf,
  protocols,
  runStarted,
  stepDone,
  stepSkipped,
  stepsAt,
  type Protocol,
  type Step,
  type StepAnswer,
} from '../src/tap/index.ts';
import { lab, phone, tapPoint, technician, wellPoint } from './things.ts';
import type { z } from 'zod';

export * from './things.ts';

/** The newest edition of a protocol. */
export const protocolNamed = (id: string): Protocol => protocols.newest.find((protocol) => protocol.id === id)!;

/** How a careful technician answers a step. */
export function answerTo({ act }: Step, residual: string): StepAnswer {
  switch (act.type) {
    case 'checks':
      return { type: 'checks', yes: act.items.map((item) => item.id), no: [] };
    case 'choose':
      return { type: 'choose', option: act.options.some(({ id }) => id === 'bleach') ? 'bleach' : act.options[0]!.id };
    case 'measure':
      return { type: 'measure', reading: { text: act.parameter === 'temperature' ? '17.2' : residual, unit: act.unit } };
    case 'constant':
      return { type: 'constant', readings: Array.from({ length: act.count }, () => ({ text: '17.2', unit: act.unit })) };
    case 'since':
      return { type: 'since', lasted: { text: String(act.least / 60), unit: 'min' } };
    case 'times':
      return { type: 'times', times: act.least };
    default:
      return { type: act.type };
  }
}

/** What is written where one hands bottles over to the lab of these tests. */
export function handing(
  bottles: readonly (string | { bottle: string; condition: BottleCondition })[],
  {
    temperature = '4.2',
    seal = '',
    from = technician.name,
    takenBy = 'Desk',
    to = { as: 'lab' as const, lab: lab.id },
    ...more
  }: Handing = {},
): z.output<typeof handedOver.payload> {
  return handedOver.payload.parse({
    from: { as: 'person', name: from },
    to,
    takenBy,
    boxes: [{ box: '', name: 'Cooler', temperature: { text: temperature, unit: 'degC' }, seal }],
    bottles: bottles.map((one) => (typeof one === 'string' ? { bottle: one, condition: 'good' as const } : one)),
    counted: bottles.length,
    signed: { name: from },
    ...more,
  });
}
type Handing = { temperature?: string; seal?: string; from?: string } & Partial<Omit<z.input<typeof handedOver.payload>, 'from'>>;

/** Writes a book step by step, a minute apart. Monday 23 November 2026, 09:00 on the Azores. */
export class Script {
  readonly entries: Entry[] = [];
  readonly book: string;
  readonly well: string;
  readonly tap: string;
  now = Date.UTC(2026, 10, 23, 10, 0);

  constructor(
    readonly device = phone,
    readonly author = technician.id,
  ) {
    [this.book, this.well, this.tap] = [newId(this.now), newId(this.now), newId(this.now)];
  }

  /** An entry that is not written down yet; of the well or the tap if its kind stands at a visit. */
  make<K extends string, S extends z.ZodType>(kind: EntryKind<K, S>, payload: z.input<S>, visit?: string | null): Entry<K, z.input<S>> {
    const pen = { book: this.book, author: this.author, device: this.device, now: this.now, offset: -60 };
    return writeEntry(pen, kind, payload, { visit: visit ?? null });
  }

  write<K extends string, S extends z.ZodType>(
    kind: EntryKind<K, S>,
    payload: z.input<S>,
    { at = null, minutes = 1 }: { at?: string | null; minutes?: number } = {},
  ): Entry<K, z.output<S>> {
    this.now += minutes * minute;
    const entry = this.make(kind, payload, at);
    this.entries.push(entry);
    return entry as Entry<K, z.output<S>>;
  }

  /** At the well. */
  atWell<K extends string, S extends z.ZodType>(kind: EntryKind<K, S>, payload: z.input<S>, minutes = 1): Entry<K, z.output<S>> {
    return this.write(kind, payload, { at: this.well, minutes });
  }

  /** At the tap. */
  atTap<K extends string, S extends z.ZodType>(kind: EntryKind<K, S>, payload: z.input<S>, minutes = 1): Entry<K, z.output<S>> {
    return this.write(kind, payload, { at: this.tap, minutes });
  }

  /** A correction that is not written down yet. */
  strike(entry: Entry, reason: string, instead?: { payload?: unknown; at?: number; visit?: string }, kind?: AnyKind): Entry {
    return this.make(
      struck,
      {
        entry: entry.id,
        kind: kind?.kind ?? entry.kind,
        reason,
        ...(instead
          ? {
              instead: {
                ...(instead.payload === undefined ? {} : { payload: instead.payload, version: entry.version }),
                ...(instead.at === undefined ? {} : { at: instantAt(instead.at, -60) }),
                ...(instead.visit === undefined ? {} : { visit: instead.visit }),
              },
            }
          : {}),
      },
      entry.visit,
    );
  }

  /** Strikes an entry, or puts something else in its place. */
  correct(...[entry, reason, instead]: Parameters<Script['strike']>): Entry {
    this.now += minute;
    const correction = this.strike(entry, reason, instead);
    this.entries.push(correction);
    return correction;
  }

  /** Starts a protocol at the tap, in its newest edition. */
  start(procedure = 'coliforms-distribution'): Protocol {
    const protocol = protocolNamed(procedure);
    this.atTap(runStarted, { procedure: procedureOf(protocol), protocol: protocol.id, edition: protocol.edition });
    return protocol;
  }

  /** Answers a step of a protocol at the tap. */
  done(step: string, answer: StepAnswer, departure?: string, { minutes = 1, procedure = 'coliforms-distribution' } = {}) {
    return this.atTap(stepDone, { procedure, step, answer, ...(departure ? { departure } : {}) }, minutes);
  }

  /** Hands bottles in good order over to the lab. */
  handOver(bottles: readonly string[]) {
    return this.write(handedOver, handing(bottles, { temperature: '4' }));
  }

  /** Runs a protocol at the tap, up to the step that is named or to the end. */
  sampleTap({
    before,
    residual = '0.45',
    procedure: named = 'coliforms-distribution',
    bottle = '261123A-MH1-B',
    point = tapPoint,
    odd = {},
  }: {
    before?: string;
    residual?: string;
    procedure?: string;
    bottle?: string;
    point?: TapPoint;
    /** Steps that go otherwise: left out for a reason, or so many minutes long. */
    odd?: Readonly<Record<string, { skip?: string; minutes?: number; departure?: string }>>;
  } = {}): this {
    const protocol = this.start(named);
    const procedure = procedureOf(protocol);
    const answers = new Map<string, StepAnswer>();
    const next = () => stepsAt(protocol, point, answers).find(({ id }) => !answers.has(id));
    for (let step = next(); step && step.id !== before; step = next()) {
      const { skip, departure, ...taken } = odd[step.id] ?? {};
      if (skip !== undefined) {
        answers.set(step.id, { type: 'confirm' });
        this.atTap(stepSkipped, { procedure, step: step.id, departure: skip });
        continue;
      }
      if (step.act.type === 'clock') this.atTap(clockStarted, { procedure, step: step.id });
      if (step.act.type === 'fill') this.atTap(bottleFilled, { bottle });
      const minutes = taken.minutes ?? (step.act.type === 'clock' ? 1 + step.act.least / 60 : 1);
      const answer = answerTo(step, residual);
      answers.set(step.id, answer);
      this.done(step.id, answer, departure, { minutes, procedure });
    }
    return this;
  }

  /** Looks round at both points, and finds nothing wrong. */
  arrived(): this {
    for (const at of [this.well, this.tap]) {
      this.write(riskChecked, { hazards: [] }, { at });
      this.write(fitnessJudged, { found: [] }, { at });
    }
    return this;
  }

  plan(atTap: AnalysisId[] = ['coliforms'], more: Partial<z.input<typeof roundPlanned.payload>> = {}): this {
    this.write(roundPlanned, {
      name: 'Monday',
      code: '261123A',
      system: 'Marenta',
      date: '2026-11-23',
      zone: 'Atlantic/Azores',
      lab,
      editions: editionsOn('2026-11-23'),
      visits: [
        { id: this.well, point: wellPoint, analyses: ['general', 'nutrients', 'metals'] },
        { id: this.tap, point: tapPoint, analyses: atTap },
      ],
      ...more,
    });
    return this;
  }
}

import type { Finding } from '../findings/index.ts';
import type { AgreedLevel, PumpNow } from '../level/index.ts';
import { inOwnUnit, parameter, type ParameterId } from '../parameters/index.ts';
import type { WellPoint } from '../registers/index.ts';
import { second } from '../time/index.ts';
import { convert, decimalsOf, type Typed } from '../units/index.ts';
import type { FlowTiming, PumpingLevel, PumpSwitch, PurgeBook, PurgeDecision, PurgeSet } from './book.ts';
import type { ProbeParameter, PurgeChoice } from './entries.ts';
import { purgeMethod, type Condition, type PurgeAim, type PurgeMethod } from './methods/index.ts';
import { pumpedAt, type Pumping } from './pumping/pumped.ts';
import {
  countingSets,
  criterionOf,
  judgeStability,
  nextCounts,
  spacingOf,
  tooSoon,
  windowFrom,
  type CountedBy,
  type Criterion,
  type Moment,
  type ReadingSet,
  type ReadingSteps,
  type Spacing,
  type Stability,
  type TooSoon,
} from './stability/index.ts';
import { criteria } from './tables/criteria.ts';

export interface PurgeSetUp {
  entry: string;
  at: number;
  chosen: PurgeChoice;
  method: PurgeMethod;
  /** The name of the criterion's edition; null where the method judges nothing. */
  criterion: string | null;
  /** The criterion, null where there is none or this copy of the product does not have its edition. */
  rule: Criterion | null;
  parameters: readonly ProbeParameter[];
  /** What is to be pumped; null where the method does not say. */
  aim: PurgeAim | null;
}

export interface PurgeState {
  setUp: PurgeSetUp | null;
  readonly sets: PurgeSet[];
  count: number;
  /** The sets from a place on, without the cost of listing all. */
  setsFrom: (place: number) => PurgeSet[];
  /** The sets that may prove something: since the last new start, and of the water of the well. */
  readonly proving: PurgeSet[];
  /** m³. */
  pumped: number;
  /** Volumes removed so far. */
  volumesDone: number;
  pumping: Pumping;
  readonly switches: PumpSwitch[];
  readonly flows: FlowTiming[];
  readonly levels: PumpingLevel[];
  /** Lowest level while pumping against the level before, in m; null when none was read. */
  drawdown: number | null;
  /** The latest level while pumping, in m below the mark; null when none was read. */
  pumpingLevel: number | null;
  /** What the method asks for beside readings that hold. */
  conditions: Condition[];
  stability: Stability | null;
  /** Why the last set does not count towards the criterion: read too soon it proves nothing. Null where it counts. */
  lastTooSoon: TooSoon | null;
  /** What has to lie between two sets that count; null where nothing judges them. */
  spacing: Spacing | null;
  /** The last set that counts, since the last new start; null before there is one. */
  lastCounting: Moment | null;
  findings: Finding[];
  /** From when to when the clock of the next set runs (ms): it ends when a set counts. Null where nothing tells that. */
  clock: { from: number; until: number } | null;
  ranDry: number | null;
  readonly decisions: PurgeDecision[];
  /** All that the method asks for is so, and readings hold. */
  ready: boolean;
  /** As it is at a moment (ms): what is out by then by flow and time, and what follows from it. */
  at: (moment: number) => PurgeState;
  ended: PurgeBook['ended'];
}

function setUpState(book: PurgeBook, point: WellPoint, level: AgreedLevel | null): PurgeSetUp | null {
  if (!book.setUp) return null;
  const { entry, at, chosen } = book.setUp;
  const method = purgeMethod(chosen.method);
  const aim = method.aim(chosen, point, level);
  // What a method was set up on may be gone since: then it is to be set up anew.
  if (method.needsLevel && !level) return null;
  if (chosen.method === 'volumes' && !aim) return null;
  const criterion = 'criterion' in chosen ? chosen.criterion : null;
  const parameters = 'parameters' in chosen ? chosen.parameters : [];
  return { entry, at, chosen, method, criterion, rule: ruleOf(chosen), parameters, aim };
}

/** Once so many volumes of the casing are out and nothing is stable, somebody decides. Common practice: three to five volumes. */
const volumesToDecide = 5;

function questions(book: PurgeBook, setUp: PurgeSetUp | null, stability: Stability | null, soon: TooSoon | null): Finding[] {
  const findings = book.fell.all().map((set): Finding => ({
    code: 'total-fell',
    severity: 'question',
    field: set,
  }));
  if (setUp?.criterion && !setUp.rule) findings.push({ code: 'criterion-unknown', severity: 'stop', data: { criterion: setUp.criterion } });
  if (soon) findings.push(sayTooSoon(book, soon));
  const one = setUp?.aim?.of === 'casing' ? setUp.aim.oneVolume.value : 0;
  const over = one > 0 && (book.sets.at(-1)?.pumped ?? 0) / one >= volumesToDecide;
  const isDecided = book.decisions.all().some(({ trouble }) => trouble === 'five-volumes');
  if (over && !isDecided && !stability?.stable) findings.push({ code: 'five-volumes', severity: 'question', source: 'Common practice' });
  return findings;
}

/** The last set came too soon after the one that counts: what that says depends on whether it says the same. */
function sayTooSoon(book: PurgeBook, soon: TooSoon): Finding {
  const [before, last] = book.sets.last(2) as [PurgeSet, PurgeSet];
  const after = (last.at - before.at) / second;
  const isSame = after < 60 && Object.entries(last.values).every(([id, typed]) => before.values[id as ProbeParameter]?.text === typed.text);
  if (isSame) return { code: 'same-at-once', severity: 'note', data: { after } };
  if (soon.code === 'same-water') return { code: 'set-same-water', severity: 'note', data: { pumped: soon.pumped, renewed: soon.renewed } };
  return { code: 'set-too-soon', severity: 'note', data: { after: soon.after / second, apart: soon.time / second } };
}

/** What the pump of a visit does, as far as its book says; null where nothing was pumped. */
export function pumpNow(purge: PurgeState | null): PumpNow | null {
  if (!purge || purge.setUp?.method.id === 'none') return null;
  if (purge.ended) return { isOn: false, at: purge.ended.at };
  const last = purge.switches.at(-1);
  if (last) return { isOn: last.pump === 'on', at: last.at };
  // A supply well runs by itself, and whoever reads sets has a pump on, whether it was said or not.
  const runs = purge.setUp?.method.id === 'running' ? purge.setUp.at : purge.sets[0]?.at;
  return runs === undefined ? null : { isOn: true, at: runs };
}

/** What a set-up counts its water by. */
export const countedBy = (aim: PurgeAim | null): CountedBy | null => aim && { of: aim.of, volume: aim.oneVolume.value };

/** The criterion that a set-up names; null where it names none, or one that this copy of the product does not have. */
export function ruleOf(chosen: PurgeChoice): Criterion | null {
  if (!('criterion' in chosen)) return null;
  return chosen.own ? criterionOf(chosen.own) : criteria.find(chosen.criterion);
}

/** Sets with each value in its parameter's own unit. */
export function readingSets(sets: readonly Pick<PurgeSet, 'values'>[]): ReadingSet[] {
  return sets.map(
    (set) => Object.fromEntries(Object.entries(set.values).map(([id, typed]) => [id, inOwnUnit(id as ParameterId, typed)])) as ReadingSet,
  );
}

/** The coarsest step in which each parameter was read, as it was typed, in its own unit. */
export function readingSteps(sets: readonly Pick<PurgeSet, 'values'>[]): ReadingSteps {
  const steps: ReadingSteps = {};
  for (const { values } of sets) {
    for (const [id, typed] of Object.entries(values) as [ProbeParameter, Typed][]) {
      const own = parameter(id).unit;
      const step = convert(10 ** -decimalsOf(typed), typed.unit, own) - convert(0, typed.unit, own);
      steps[id] = Math.max(steps[id] ?? 0, step);
    }
  }
  return steps;
}

/** The last sets that may prove something: since the last new start, and of the water of the well where the method says from when that comes. */
function proving(book: PurgeBook, setUp: PurgeSetUp | null, most = Infinity): PurgeSet[] {
  const sets = book.sets.last(Math.min(book.sets.length - book.anewFrom, most));
  const { aim } = setUp ?? {};
  return aim?.of === 'drive-train' ? sets.filter(({ pumped }) => pumped >= aim.oneVolume.value - 1e-9) : sets;
}

interface Judged {
  stability: Stability | null;
  spacing: Spacing | null;
  lastCounting: Moment | null;
  lastTooSoon: TooSoon | null;
  provenFrom: number | null;
}

/** What the sets since the last new start say under the criterion of the set-up. */
function judged(book: PurgeBook, setUp: PurgeSetUp | null): Judged {
  const rule = setUp?.rule;
  if (!rule) return { stability: null, spacing: null, lastCounting: null, lastTooSoon: null, provenFrom: null };
  const spacing = spacingOf(rule, countedBy(setUp.aim));
  // Where every set counts the last few are all there is to look at.
  const sets = proving(book, setUp, spacing.either || spacing.renewed > 0 ? Infinity : rule.sets);
  const counts = countingSets(spacing, sets);
  const from = windowFrom(counts, rule.sets);
  const window = sets.slice(from);
  const lastCounting = sets[counts.lastIndexOf(true)] ?? null;
  const last = sets.at(-1);
  // What is read before the well's own water is there is told by the method's condition.
  const isLast = last !== undefined && last.entry === book.sets.at(-1)!.entry;
  return {
    stability: judgeStability(rule, readingSets(window), setUp.parameters, { steps: readingSteps(window), counts: counts.slice(from) }),
    spacing,
    lastCounting,
    lastTooSoon: isLast && last !== lastCounting ? tooSoon(spacing, lastCounting!, last) : null,
    provenFrom: window[0]?.at ?? null,
  };
}

/**
 * The clock of the next set: it runs from the last that counts, and ends when one counts again. Before there is one it runs from the
 * start of the pump until the water of the well is there.
 */
function clockOf(book: PurgeBook, setUp: PurgeSetUp | null, { spacing, lastCounting }: Judged): PurgeState['clock'] {
  if (!setUp || !spacing || setUp.parameters.length === 0) return null;
  const { pumping } = book;
  const before = lastCounting ?? (pumping.since === null ? null : { at: pumping.since, pumped: 0 });
  if (!before) return null;
  // The first set of all has none before it: it waits for the water of the well alone.
  const until = nextCounts(lastCounting || spacing.renewed === 0 ? spacing : { ...spacing, either: null }, before, pumping);
  return until === null ? null : { from: before.at, until };
}

/**
 * The purge of one visit by its method, against the level that stands: as its book leaves it, or as it is at a moment (ms), with what
 * flow and time have brought out by then.
 */
export function purgeState(book: PurgeBook, point: WellPoint, level: AgreedLevel | null, at?: number): PurgeState {
  const setUp = setUpState(book, point, level);
  const aim = setUp?.aim ?? null;
  const judgement = judged(book, setUp);
  const { stability, spacing, lastCounting, lastTooSoon, provenFrom } = judgement;
  const { pumping, lowest, ranDry, ended } = book;
  const pumped = Math.max(book.pumped, at === undefined || ended ? 0 : (pumpedAt(pumping, at) ?? 0));
  const conditions = setUp
    ? setUp.method.conditions(setUp.chosen, {
        pumped,
        aim,
        atRest: level?.depth ?? null,
        levels: book.levels.all(),
        lowest,
        provenFrom,
        ranDry,
      })
    : [];
  return {
    setUp,
    get sets() {
      return book.sets.all();
    },
    count: book.sets.length,
    setsFrom: (place) => book.sets.last(Math.max(0, book.sets.length - place)),
    get proving() {
      return proving(book, setUp);
    },
    pumped,
    volumesDone: aim && aim.oneVolume.value > 0 ? pumped / aim.oneVolume.value : 0,
    pumping,
    get switches() {
      return book.switches.all();
    },
    get flows() {
      return book.flows.all();
    },
    get levels() {
      return book.levels.all();
    },
    drawdown: level && lowest !== null ? lowest - level.depth : null,
    pumpingLevel: book.levels.at(-1)?.depth ?? null,
    conditions,
    stability,
    lastTooSoon,
    spacing,
    lastCounting,
    findings: questions(book, setUp, stability, lastTooSoon),
    clock: clockOf(book, setUp, judgement),
    ranDry,
    get decisions() {
      return book.decisions.all();
    },
    at: (moment) => purgeState(book, point, level, moment),
    ready: setUp !== null && conditions.every(({ met }) => met) && (!setUp.method.judges || stability?.stable === true),
    ended,
  };
}

import type { Data, Finding } from '../findings/index.ts';
import type { AgreedLevel } from '../level/index.ts';
import { inOwnUnit, oxygenSaturation, parameter, questionReading, type ParameterId } from '../parameters/index.ts';
import { second } from '../time/index.ts';
import { base, readNumber } from '../units/index.ts';
import type { WellPoint } from '../registers/index.ts';
import { questionBuilt } from './built.ts';
import type { ProbeParameter, PurgeChoice, purgeEnded, purgeReading } from './entries.ts';
import { classicFlow } from './methods/index.ts';
import { pump } from './pumping/gear.ts';
import { pumpedAt } from './pumping/pumped.ts';
import { questionPump } from './pumping/question.ts';
import { insideDiameter, pipe, pipeIds } from './pipes.ts';
import { tooSoon, type Moment } from './stability/index.ts';
import type { PurgeState } from './state.ts';
import type { z } from 'zod';

type Payload = z.infer<typeof purgeReading.payload>;

/** A diameter may differ by such a part from the register's: more, and one of them is wrong. Common practice. */
const sameBore = 0.05;

/** What of the visit a set-up is held against. */
export interface SetUpAround {
  well: WellPoint['well'];
  level: AgreedLevel | null;
  /** Sets that were read already: another method or criterion judges them as well. */
  before: { count: number; chosen: PurgeChoice } | null;
  /** Whether something is sampled that leaves the water with air: volatiles, gases. */
  isVolatile: boolean;
}

/** What is odd about how a purge is set up: a bore too wide, too narrow, or another than the pipe's or the register's; a pump that does not fit. */
export function questionSetUp(chosen: PurgeChoice, { well, level, before, isVolatile }: SetUpAround): Finding[] {
  const halfway: Finding[] =
    before && before.count > 0 && before.chosen.method !== chosen.method
      ? [{ code: 'other-method', severity: 'question', field: 'method', data: { sets: before.count } }]
      : [];
  const rule = (choice: PurgeChoice) => ('criterion' in choice ? choice.criterion : null);
  if (before && before.count > 0 && rule(before.chosen) !== rule(chosen) && halfway.length === 0)
    halfway.push({ code: 'other-criterion', severity: 'question', field: 'criterion', data: { sets: before.count } });
  return [...halfway, ...questionCasing(chosen, well), ...questionPump(chosen, well, level, isVolatile)];
}

function questionCasing(chosen: PurgeChoice, well: WellPoint['well']): Finding[] {
  if (chosen.method !== 'volumes') return [];
  const inside = base(chosen.insideDiameter);
  const known = well.insideDiameter;
  const isOther = known !== undefined && Math.abs(inside - known) > sameBore * known;
  const other: Finding[] = isOther ? [{ code: 'other-bore', severity: 'question', field: 'insideDiameter', data: { inside, known } }] : [];
  const isTooWide: Finding[] =
    well.bore !== undefined && inside >= well.bore
      ? [{ code: 'wider-than-bore', severity: 'question', field: 'insideDiameter', data: { inside, bore: well.bore } }]
      : [];
  return [...questionBuilt({ insideDiameter: inside, pipe: chosen.pipe ?? '' }), ...nominal(inside, chosen.pipe), ...other, ...isTooWide];
}

/** So near a whole inch, in m, a diameter may have been read off a name. */
const nominalInch = 0.0002;
/** A diameter of whole inches where no pipe was chosen: pipes are called so, and measure otherwise. */
function nominal(inside: number, id: string | undefined): Finding[] {
  const inches = inside / 0.0254;
  const isWhole = Math.round(inches) > 0 && Math.abs(inside - Math.round(inches) * 0.0254) < nominalInch;
  const likely = pipeIds.find((one) => pipe(one).name.startsWith(`${Math.round(inches)} in`));
  if (!isWhole || id || !likely) return [];
  return [
    {
      code: 'nominal',
      severity: 'question',
      field: 'insideDiameter',
      data: { inches: Math.round(inches), pipe: pipe(likely).name, known: insideDiameter(likely) },
    },
  ];
}

/** A number so many times the one before, or such a part of it, may have slipped its decimal mark or its unit. Common practice. */
const slip = 8;
/** A level while pumping may stand so much above the one at rest, in m, by the reading alone. */
const reading = 0.01;

/** What is odd about a set of readings before it is written: slips against the set before and against the level at rest. `now` in ms. */
export function questionSet(
  { pumped, values, level }: Payload,
  purge: PurgeState,
  atRest: AgreedLevel | null,
  now: number,
  elevation?: number,
): Finding[] {
  const findings: Finding[] = [];
  const ask = (code: string, field: string, data: Data = {}) => findings.push({ code, severity: 'question', field, data });
  const [last] = purge.setsFrom(purge.count - 1);
  if (pumped) findings.push(...questionTotal(base(pumped), purge, now));
  if (seemsOff(purge)) ask('pump-not-on', 'values');
  findings.push(...questionSpacing(purge, { at: now, pumped: totalOf(pumped, purge, now) }));
  const { aim } = purge.setUp ?? {};
  if (aim?.of === 'drive-train' && (pumped ? base(pumped) : (pumpedAt(purge.pumping, now) ?? 0)) < aim.oneVolume.value)
    ask('drive-train-full', 'values', { one: aim.oneVolume.value });
  if (level) findings.push(...questionPumpingLevel(base(level), purge, atRest));
  for (const [id, typed] of Object.entries(values) as [ProbeParameter, NonNullable<Payload['values'][ProbeParameter]>][]) {
    if (!readNumber(typed.text).ok) continue;
    findings.push(...questionReading(id, typed).filter(({ severity }) => severity === 'question'));
    const before = last?.values[id];
    if (!before || !isRatio(id)) continue;
    const [was, is] = [inOwnUnit(id, before), inOwnUnit(id, typed)];
    if (was > 0 && is > 0 && (is / was >= slip || was / is >= slip)) ask('far-from-last', `values.${id}`, { parameter: id, was, is });
  }
  findings.push(...questionOxygen(values, elevation));
  return findings;
}

/** The total at a set in m³: as it is typed, else by flow and time, else as it was. */
const totalOf = (typed: Payload['pumped'], { pumping, pumped }: PurgeState, now: number): number =>
  typed && readNumber(typed.text).ok ? base(typed) : (pumpedAt(pumping, now) ?? pumped);

/** Whether a set that is written now would count: by the same function that judges it. */
function questionSpacing({ spacing, lastCounting, setUp, ...purge }: PurgeState, next: Moment): Finding[] {
  const ask = (code: string, data: Data): Finding[] => [{ code, severity: 'question', field: 'values', data }];
  const soon = spacing && lastCounting && tooSoon(spacing, lastCounting, next);
  if (soon?.code === 'same-water') return ask('sets-same-water', { pumped: soon.pumped, renewed: soon.renewed });
  if (soon) return ask('sets-too-close', { apart: soon.time / second, after: soon.after / second });
  // Editions of before asked for a time between sets, and let every one of them count.
  const [last] = purge.setsFrom(purge.count - 1);
  const apart = setUp?.rule?.apart;
  if (!last || apart === undefined || next.at - last.at >= apart * second) return [];
  return ask('sets-close', { apart, after: (next.at - last.at) / second });
}

/** More oxygen than this, in per cent of what the air gives, comes of bubbles or a probe that drifts. Common practice: 100 to 110 %. */
const mostOxygen = 105;

/** Oxygen against what water of that temperature takes from the air, at the elevation of the well in m. */
function questionOxygen({ oxygen, temperature }: Payload['values'], elevation?: number): Finding[] {
  if (!oxygen || !temperature || !readNumber(oxygen.text).ok || !readNumber(temperature.text).ok) return [];
  const degrees = inOwnUnit('temperature', temperature);
  if (degrees < 0 || degrees > 40) return [];
  const most = oxygenSaturation(degrees, elevation).value;
  const percent = (100 * inOwnUnit('oxygen', oxygen)) / most;
  return percent > mostOxygen ? [{ code: 'oxygen-over', severity: 'question', field: 'values.oxygen', data: { percent, most } }] : [];
}

/** A total and what flow and time tell may differ by such a part. Common practice. */
const sameTotal = 0.2;

/** Whether a pump was chosen that somebody puts on, and nobody has said that it runs, nor timed what it gives. */
function seemsOff({ setUp, pumping }: PurgeState): boolean {
  const id = setUp && 'pump' in setUp.chosen ? setUp.chosen.pump : undefined;
  return id !== undefined && !pump(id).byHand && pumping.since === null && !pumping.isOff && pumping.flow === null;
}

/** So many volumes of the casing between one set and the next are more than anybody lets pass unread. Common practice: a set a volume. */
const mostBetweenSets = 5;

/** A total in m³ against the one before, the water that stands in the well, and flow × time. */
function questionTotal(total: number, purge: PurgeState, now: number): Finding[] {
  const [last] = purge.setsFrom(purge.count - 1);
  if (last && total < last.pumped) return [{ code: 'total-fell', severity: 'question', field: 'pumped' }];
  const told = purge.pumping.flow === null ? null : pumpedAt(purge.pumping, now);
  const [{ aim, at } = { aim: null, at: now }, was] = [purge.setUp ?? undefined, last?.pumped ?? 0];
  const volumes = aim?.of === 'casing' && aim.oneVolume.value > 0 ? (total - was) / aim.oneVolume.value : 0;
  if (told === null && volumes > mostBetweenSets)
    return [{ code: 'total-volumes', severity: 'question', field: 'pumped', data: { total, volumes } }];
  if (told === null && last && was > 0 && (total - was) * (last.at - at) >= slip * was * Math.max(1, now - last.at))
    return [{ code: 'total-jumped', severity: 'question', field: 'pumped', data: { total, was } }];
  if (told === null || Math.abs(total - told) <= sameTotal * Math.max(total, told)) return [];
  return [{ code: 'totals-differ', severity: 'question', field: 'pumped', data: { total, told } }];
}

/** A level while pumping in m below the mark, against the one at rest and the intake. */
export function questionPumpingLevel(
  depth: number,
  { setUp, pumping }: Pick<PurgeState, 'setUp' | 'pumping'>,
  atRest: AgreedLevel | null,
): Finding[] {
  const found: Finding[] = [];
  const ask = (code: string, data: Data) => found.push({ code, severity: 'question', field: 'level', data });
  const recovers = pumping.isOff;
  if (atRest && depth < atRest.depth - reading) ask(recovers ? 'above-rest' : 'level-rose', { by: atRest.depth - depth });
  const intake = setUp && 'intake' in setUp.chosen && setUp.chosen.intake ? base(setUp.chosen.intake) : null;
  // While it recovers no pump draws air.
  if (!recovers && intake !== null && depth >= intake) ask('level-at-intake', { depth, intake });
  return found;
}

/** Timings of one flow may differ by such a part. Common practice. */
const sameFlow = 0.1;

/** What is odd about a timed flow: timings that differ, a flow that is none of the method's, or more than a well gives. */
export function questionFlow(flow: number, spread: number, chosen: PurgeChoice): Finding[] {
  const found: Finding[] = [];
  const ask = (code: string, data: Data) => found.push({ code, severity: 'question', field: 'timings', data });
  if (spread > sameFlow) ask('timings-differ', { percent: spread * 100 });
  if (chosen.method === 'low-flow' && flow > classicFlow.most * 1.01) ask('not-low-flow', { flow, most: classicFlow.most });
  if (chosen.method === 'low-flow' && flow < classicFlow.least * 0.5) ask('hardly-flows', { flow });
  return found;
}

/** The flow for bottles in m³/s: 100 to 200 mL/min. EPA/540/S-95/504 (1996), for volatiles; common practice for the rest. */
export const fillingFlow = { least: 0.1e-3 / 60, most: 0.2e-3 / 60 } as const;
/** Faster than this, in m³/s, bottles foam and spill: asked about. */
const tooFast = 0.5e-3 / 60;

/** What is odd about how a purge is ended. */
export function questionEnd(
  { flowCell, filling }: z.infer<typeof purgeEnded.payload>,
  { setUp, pumping }: Pick<PurgeState, 'setUp' | 'pumping'>,
  { isVolatile }: Pick<SetUpAround, 'isVolatile'>,
): Finding[] {
  const found: Finding[] = [];
  const chosen = setUp?.chosen;
  const cell = chosen && 'cellHolds' in chosen && chosen.cellHolds ? base(chosen.cellHolds) : 0;
  if (flowCell === 'none' && cell > 0) found.push({ code: 'cell-was-there', severity: 'question', field: 'flowCell', data: { cell } });
  const most = isVolatile ? fillingFlow.most : tooFast;
  const ask = (field: string, rate: number) =>
    rate > most * 1.01 ? found.push({ code: 'fills-fast', severity: 'question', field, data: { rate, most } }) : 0;
  if (filling?.how === 'slowed') ask('filling.rate', base(filling.rate));
  // A supply well is sampled at its tap; of a pump of one's own the flow is that of the bottles.
  if (filling?.how === 'as-it-is' && chosen && 'pump' in chosen && !pumping.isOff) ask('filling.how', pumping.flow ?? 0);
  return found;
}

/** Whether twice the number is twice as much: not so of temperature, pH and redox. */
const isRatio = (id: ParameterId) => !['degC', 'pH', 'mV'].includes(parameter(id).unit);

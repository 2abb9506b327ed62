import type { SampleKind, SampleReason } from '../bottles/index.ts';
import type { FieldBottle } from '../fill/index.ts';
import type { Data, Finding } from '../findings/index.ts';
import type { Lab } from '../registers/index.ts';
import { minute } from '../time/index.ts';
import type { BottleCondition } from './entries.ts';
import { holdingOf } from './holding.ts';
import { isIntakeOpen, nextIntake } from './intake.ts';

/** A line of the form: one bottle in the cooler, with what the lab needs to know about it. */
export interface FormLine {
  bottle: FieldBottle;
  pointName: string;
  /** The names of the analyses asked of it. */
  requests: readonly string[];
  sampleType: SampleKind;
  /** What of the protocol departs, and what that makes of the sample. */
  reasons: readonly SampleReason[];
  /** Free chlorine as typed; null where it was not measured; `not-needed` where no disinfected water is sampled. */
  residual: string | null | 'not-needed';
}

export interface FormDraft {
  lines: readonly FormLine[];
  conditions: Readonly<Record<string, BottleCondition>>;
  /** Cooler temperature in °C, or null while none was entered. */
  coolerTemperature: number | null;
  seal: string;
  now: number;
}

const stop = (code: string, field: string, data: Data = {}): Finding => ({ code, severity: 'stop', field, data });

/** From here on a bottle's time is short, in ms. */
const shortTime = 60 * minute;

function checkBottle(line: FormLine, draft: FormDraft, lab: Lab | null): Finding[] {
  const { bottle } = line;
  const rule = bottle.card;
  const findings: Finding[] = [];
  const condition = draft.conditions[bottle.id] ?? 'good';
  if (condition !== 'good') findings.push(stop(condition, bottle.id));
  const left = holdingOf(bottle.rule, rule, bottle.filledAt ?? draft.now, lab).deadline - draft.now;
  // Exactly at the end is in time.
  if (left < 0) findings.push(stop('holding-over', bottle.id, { since: -left }));
  else if (left < shortTime) findings.push({ code: 'holding-short', severity: 'question', field: bottle.id, data: { left } });
  const range = lab?.temperature[rule.temperature];
  const cooler = draft.coolerTemperature;
  if (range && cooler !== null && (cooler > range.most || cooler < range.least))
    findings.push(stop(cooler > range.most ? 'too-warm' : 'too-cold', bottle.id, range));
  if (lab && !isIntakeOpen(lab, draft.now, bottle.rule)) {
    const next = nextIntake(lab, draft.now, bottle.rule);
    const data = { bottle: rule.name.toLowerCase() };
    findings.push(next ? stop('intake-closed', bottle.id, { ...data, opens: next.opens - draft.now }) : stop('no-intake', bottle.id, data));
  }
  if (line.sampleType === 'invalid') findings.push(stop('sample-spoilt', bottle.id));
  if (line.residual === null) findings.push(stop('residual-missing', bottle.id));
  return findings;
}

/**
 * Everything a lab would refuse, found before the hand-over: per bottle, and under `form` what concerns the whole.
 * Nothing here blocks: who hands over decides, knowing. Without a registered lab nothing is known of hours and cooler.
 */
export function checkForm(draft: FormDraft, lab: Lab | null): Finding[] {
  const findings: Finding[] = [];
  if (draft.lines.length === 0) findings.push(stop('no-bottles', 'form'));
  if (draft.coolerTemperature === null) findings.push(stop('no-temperature', 'coolerTemperature'));
  if (lab?.asksForSeal && draft.seal.trim() === '') findings.push(stop('no-seal', 'seal'));
  return [...findings, ...draft.lines.flatMap((line) => checkBottle(line, draft, lab))];
}

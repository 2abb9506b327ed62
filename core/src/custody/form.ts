import type { FieldBottle } from '../fill/index.ts';
import type { Finding } from '../findings/index.ts';
import type { Lab } from '../registers/index.ts';
import { minute, showDuration } from '../time/index.ts';
import { show } from '../units/index.ts';
import { bottleConditions, type BottleCondition } from './entries.ts';
import { holdingOf } from './holding.ts';
import { isIntakeOpen, nextIntake } from './intake.ts';

/** A line of the form: one bottle in the cooler, with what the lab needs to know about it. */
export interface FormLine {
  bottle: FieldBottle;
  pointName: string;
  /** The names of the analyses asked of it. */
  requests: readonly string[];
  sampleType: 'routine' | 'special';
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

const refuse = (code: string, about: string, message: string, advice: string): Finding => ({
  code,
  severity: 'stop',
  about,
  message,
  advice,
});

function checkBottle(line: FormLine, draft: FormDraft, lab: Lab | null): Finding[] {
  const { bottle } = line;
  const rule = bottle.card;
  const findings: Finding[] = [];
  const condition = draft.conditions[bottle.id] ?? 'good';
  if (condition !== 'good') {
    findings.push(
      refuse(
        condition,
        bottle.id,
        `${bottleConditions[condition]}.`,
        'Take a new sample with a spare, or hand it over and expect a refusal.',
      ),
    );
  }
  const left = holdingOf(bottle.rule, rule, bottle.filledAt ?? draft.now, lab).deadline - draft.now;
  if (left <= 0) {
    findings.push(refuse('holding-over', bottle.id, `Holding time is over since ${showDuration(-left)}.`, 'Take a new sample.'));
  } else if (left < 60 * minute) {
    findings.push({
      code: 'holding-short',
      severity: 'question',
      about: bottle.id,
      message: `Holding time ends in ${showDuration(left)}.`,
      advice: 'Ask the lab to start it at once.',
    });
  }
  const range = lab?.temperature[rule.temperature];
  const cooler = draft.coolerTemperature;
  if (range && cooler !== null && (cooler > range.most || cooler < range.least)) {
    const way = cooler > range.most ? 'Too warm' : 'Too cold';
    findings.push(
      refuse(
        'temperature',
        bottle.id,
        `${way}: the lab takes it at ${show(range.least, 'degC', 0)} to ${show(range.most, 'degC', 0)}.`,
        'More ice, or space between ice and bottle; then measure again.',
      ),
    );
  }
  if (lab && !isIntakeOpen(lab, draft.now, bottle.rule === 'bacteria')) {
    const next = nextIntake(lab, draft.now, bottle.rule === 'bacteria');
    const wait = next ? `Intake opens in ${showDuration(next.opens - draft.now)}.` : 'No intake in the next two weeks.';
    findings.push(
      refuse(
        'intake-closed',
        bottle.id,
        `The lab takes no ${rule.name.toLowerCase()} in now. ${wait}`,
        'Call the lab, or plan the hand-over for then.',
      ),
    );
  }
  if (line.residual === null) {
    findings.push(refuse('residual-missing', bottle.id, 'The residual is missing.', 'Measure free chlorine at the tap.'));
  }
  return findings;
}

/**
 * Everything a lab would refuse, found before the hand-over: per bottle, and under `form` what concerns the whole.
 * Nothing here blocks: who hands over decides, knowing. Without a registered lab nothing is known of hours and cooler.
 */
export function checkForm(draft: FormDraft, lab: Lab | null): Finding[] {
  const findings: Finding[] = [];
  if (draft.lines.length === 0)
    findings.push(refuse('no-bottles', 'form', 'No filled bottle is in the cooler.', 'Fill the bottles first.'));
  if (draft.coolerTemperature === null)
    findings.push(
      refuse('no-temperature', 'coolerTemperature', 'The cooler temperature is missing.', 'Measure it in the water between the bottles.'),
    );
  if (lab?.asksForSeal && draft.seal.trim() === '')
    findings.push(refuse('no-seal', 'seal', 'This lab asks for a seal number.', 'Seal the cooler and enter the number.'));
  return [...findings, ...draft.lines.flatMap((line) => checkBottle(line, draft, lab))];
}

import type { SampleKind } from '@fonte/core/bottles';
import type { VerdictState } from '@fonte/core/limits';
import { parameter, type ParameterId } from '@fonte/core/parameters';
import { sayMisfit, titleOf, type Consequence, stageNames } from '@fonte/core/round';
import { showMoment } from '../time/show.ts';

const verdicts: Record<VerdictState, string> = {
  'over-health': 'over a health value',
  'over-action': 'over an action level',
  'over-operational': 'over an operational value',
  'over-indicator': 'over an indicator value',
  'over-aesthetic': 'over a value for taste or looks',
  'cannot-tell': 'cannot be told',
  'proves-nothing': 'proves nothing',
  meets: 'meets',
  'no-value': 'no value set',
};

const samples: Record<SampleKind, string> = {
  routine: 'a routine one',
  special: 'a special one, not for compliance',
  invalid: 'a spoilt one, to be taken again',
};

/** What else an entry would change, as a sentence. */
export function sayConsequence(one: Consequence, zone: string): string {
  switch (one.code) {
    case 'set-aside':
      return `${titleOf(one.entry)} of ${showMoment(Date.parse(one.entry.at.utc), zone)} would stand aside: ${sayMisfit(one.misfit)}`;
    case 'still-aside':
      return `It would stand aside still: ${sayMisfit(one.misfit)}`;
    case 'sample':
      return `${one.point}: the sample becomes ${samples[one.to]}.`;
    case 'stage-back':
      return `${one.bottle} goes back from “${stageNames[one.from]}” to “${stageNames[one.to]}”.`;
    case 'deadline':
      return `${one.bottle} must be at the lab by ${showMoment(one.to, zone)}.`;
    case 'verdict':
      return `${one.point}, ${parameter(one.parameter as ParameterId).name}: ${verdicts[one.to]}.`;
    case 'follow-up-gone':
      return `${one.point}: a follow-up that is still open goes away: “${one.what}”`;
  }
}

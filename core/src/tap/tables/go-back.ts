import type { Protocol, Step, Stop } from '../protocol.ts';

/** What was to be struck in the book while nobody could go back to a step: a strike leaves the run waiting for ever. */
const instead: Readonly<Record<string, string>> = {
  'Strike the choice in the book and disinfect with bleach.': 'Go back to the choice and disinfect with bleach.',
  'Strike the choice in the book and stay with alcohol or bleach.': 'Go back to the choice and stay with alcohol or bleach.',
};

const stopOf = (stop: Stop): Stop => ({ ...stop, advice: instead[stop.advice] ?? stop.advice });

function stepOf(step: Step): Step {
  if (step.act.type !== 'checks') return step;
  return {
    ...step,
    act: { ...step.act, items: step.act.items.map((item) => (item.stop ? { ...item, stop: stopOf(item.stop) } : item)) },
  };
}

/** A protocol as before, whose advice is to go back to a choice that cannot be carried out. */
export const goingBack = (before: Protocol, edition: string): Protocol => ({
  ...before,
  edition,
  from: '2026-11-30',
  steps: before.steps.map(stepOf),
});

import type { RunState, Step } from '@fonte/core/tap';

/** The step at which the tap was flushed, or what came first of it measured: a run goes back to it after an interruption. */
export const flushOf = ({ steps }: RunState): Step | null =>
  steps.find(({ step: { act }, doneAt }) => (act.type === 'clock' || act.type === 'measure') && doneAt !== null)?.step ?? null;

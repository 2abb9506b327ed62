import { Problem } from '../http/index.ts';
import { Conflict, StorageFault } from '../store/index.ts';
import type { Job, Outcome } from './stage.ts';

type Settle = (group: readonly Job[]) => Promise<Outcome[][]>;

async function settleAlone(job: Job, settle: Settle, onFault: (fault: unknown) => void): Promise<Outcome> {
  try {
    return (await settle([job]))[0]![0]!;
  } catch (error) {
    if (error instanceof StorageFault || error instanceof Conflict) throw error;
    onFault(error);
    return { problem: new Problem(500, 'fault', 'The server could not take this entry in. It stays on the device that sent it.') };
  }
}

async function settleEach(job: Job, settle: Settle, onFault: (fault: unknown) => void): Promise<Outcome[]> {
  const outcomes: Outcome[] = [];
  for (const sent of job.sent) outcomes.push(await settleAlone({ ...job, sent: [sent] }, settle, onFault));
  return outcomes;
}

/**
 * Settles a group entry by entry, after one of them ran into a fault of ours: that one is answered so, and everybody else's are
 * written. What the server writes itself is one thing: it is written whole or not at all.
 */
export async function settleApart(group: readonly Job[], settle: Settle, onFault: (fault: unknown) => void): Promise<void> {
  for (const job of group) {
    try {
      job.settle(job.madeBy === 'server' ? (await settle([job]))[0]! : await settleEach(job, settle, onFault));
    } catch (error) {
      job.fail(error);
    }
  }
}

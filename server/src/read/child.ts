import { writeFileSync } from 'node:fs';
import * as jobs from './jobs.ts';

/*
 * The process that reads one file, and ends. It is asked once, answers once, and whatever a file does to it, it does to nobody else.
 */

/** What it is asked: which job, on what. */
export interface Asked {
  name: keyof typeof jobs;
  job: unknown;
}

/** What it answers; `fault` is a fault of ours, not of the file. */
export type Answered = { answer: unknown } | { fault: string };

try {
  // Where the machine runs out of memory all the same, this is what goes first (Linux).
  writeFileSync('/proc/self/oom_score_adj', '1000');
} catch {
  // Elsewhere the limit of its heap has to do.
}

process.once('message', ({ name, job }: Asked) => {
  const done = (answered: Answered) => process.send!(answered, () => process.disconnect());
  const work = jobs[name] as (of: never) => unknown;
  void Promise.resolve(job as never)
    .then(work)
    .then(
      (answer: unknown) => done({ answer }),
      (failure: unknown) => done({ fault: failure instanceof Error ? (failure.stack ?? failure.message) : String(failure) }),
    );
});

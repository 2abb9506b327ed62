import { fork, type ChildProcess } from 'node:child_process';
import type { BottlesByLabel, Mapping, readReport, Remembered } from '@fonte/core/read';
import pLimit, { type LimitFunction } from 'p-limit';
import { programOf } from '../apart/apart.ts';
import { Problem } from '../http/index.ts';
import type { Answered, Asked } from './child.ts';
import type * as jobs from './jobs.ts';

type Jobs = typeof jobs;
type Read = ReturnType<typeof readReport>;

/** What reading one file may cost. */
export interface ReadLimits {
  /** ms. */
  time: number;
  /** Megabytes of the heap of the process that reads it. */
  memory: number;
  /** Files that are read side by side. */
  processes: number;
  /** Files that may wait for their turn. */
  waiting: number;
}

export const usualLimits: ReadLimits = { time: 20_000, memory: 384, processes: 2, waiting: 40 };

/** The file took more time or memory to read than any report does. */
const tooMuch: Read = {
  refusal: { code: 'too-much', line: 0, column: 0 },
};

/**
 * Reads files of labs and loggers, each in a process of its own that ends with it. A process and not a thread: where a thread runs out
 * of memory outside its heap, it takes the whole server with it. A long file holds nobody up, a monstrous one is cut off.
 */
export class FileReader {
  private readonly turn: LimitFunction;
  private readonly running = new Set<ChildProcess>();
  /** How often it was stopped: who waited for a turn before then gets none. */
  private stops = 0;

  constructor(private readonly limits: ReadLimits = usualLimits) {
    this.turn = pLimit(limits.processes);
  }

  /** Reads a report. @throws Problem 503 when too many wait */
  async read(bytes: Uint8Array, bottles: BottlesByLabel, mapping?: Mapping, remembered: readonly Remembered[] = []): Promise<Read> {
    const job = { bytes, bottles, remembered, ...(mapping ? { mapping } : {}) };
    return (await this.run('report', job)) ?? tooMuch;
  }

  /**
   * Does a job; null where it took more time or memory than any file does. Its time counts from its turn.
   * @throws Problem 503 when too many wait
   */
  async run<N extends keyof Jobs>(name: N, job: Parameters<Jobs[N]>[0]): Promise<Awaited<ReturnType<Jobs[N]>> | null> {
    if (this.turn.pendingCount >= this.limits.waiting)
      throw new Problem(503, 'busy', 'Too many files are being read. Try again in a minute.');
    const { stops } = this;
    const answered = await this.turn(() => {
      if (stops !== this.stops) throw new Error('The reading process ended.');
      return this.ask({ name, job });
    });
    if (answered === null) return null;
    if ('fault' in answered) throw new Error(answered.fault);
    return answered.answer as Awaited<ReturnType<Jobs[N]>>;
  }

  /** Ends all processes; what was being read fails. */
  stop(): Promise<void> {
    this.stops += 1;
    const ends = [...this.running].map((one) => new Promise((resolve) => one.once('close', resolve)));
    for (const one of this.running) one.kill('SIGKILL');
    return Promise.all(ends).then(() => undefined);
  }

  private ask(asked: Asked): Promise<Answered | null> {
    const { stops } = this;
    const { time, memory } = this.limits;
    return new Promise((resolve, reject) => {
      const { file, before } = programOf('read-child');
      const running = fork(file, before, {
        execArgv: [`--max-old-space-size=${memory}`],
        serialization: 'advanced',
        stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
        timeout: time,
        killSignal: 'SIGKILL',
      });
      this.running.add(running);
      running.once('message', (answered) => resolve(answered as Answered));
      running.once('error', reject);
      running.once('close', () => {
        this.running.delete(running);
        // Without an answer it was cut off, or came to its end by what the file asked for.
        if (stops === this.stops) resolve(null);
        else reject(new Error('The reading process ended.'));
      });
      // What ended before it was asked has closed.
      running.send(asked, () => undefined);
    });
  }
}

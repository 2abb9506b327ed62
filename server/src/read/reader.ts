import { Worker } from 'node:worker_threads';
import type { BottlesByLabel, Mapping, readReport, Remembered } from '@fonte/core/read';
import type { ReadJob } from './worker.ts';

type Read = ReturnType<typeof readReport>;
type Reply = { read: Read } | { error: string };

/** What reading one report may cost. */
export interface ReadLimits {
  /** ms. */
  time: number;
  /** Megabytes of a thread's memory. */
  memory: number;
  /** Reports that are read side by side. */
  threads: number;
}

export const usualLimits: ReadLimits = { time: 20_000, memory: 384, threads: 2 };

/** The file took more time or memory to read than any report does. */
const tooMuch: Read = {
  refusal: { code: 'too-much', line: 1, column: 1 },
};

interface Job {
  job: ReadJob;
  resolve: (read: Read) => void;
  reject: (error: Error) => void;
}

/**
 * Reads reports, each in a thread of its own that ends with it: a long one holds nobody up, a monstrous one is cut off, and
 * its memory is given back.
 */
export class ReportReader {
  private readonly waiting: Job[] = [];
  private readonly running = new Map<Worker, Job>();
  private spare: Worker | null = null;
  private isStopped = false;

  constructor(private readonly limits: ReadLimits = usualLimits) {}

  read(bytes: Uint8Array, bottles: BottlesByLabel, mapping?: Mapping, remembered: readonly Remembered[] = []): Promise<Read> {
    const job: ReadJob = { bytes, bottles, remembered, ...(mapping ? { mapping } : {}) };
    return new Promise((resolve, reject) => {
      this.isStopped = false;
      this.waiting.push({ job, resolve, reject });
      this.next();
    });
  }

  /** Ends all threads; what was being read fails. */
  async stop(): Promise<void> {
    this.isStopped = true;
    for (const { reject } of this.waiting.splice(0)) reject(new Error('The reading thread ended.'));
    const workers = [...this.running.keys(), ...(this.spare ? [this.spare] : [])];
    this.spare = null;
    await Promise.all(workers.map((worker) => worker.terminate()));
  }

  private next(): void {
    if (this.running.size >= this.limits.threads) return;
    const job = this.waiting.shift();
    if (!job) return;
    const worker = this.spare ?? this.start();
    this.spare = null;
    this.running.set(worker, job);
    let settled = false;
    const settle = (act: () => void) => {
      if (settled) return;
      settled = true;
      clearTimeout(timer);
      this.running.delete(worker);
      void worker.terminate();
      act();
      // The next report finds a thread that has started already.
      if (!this.isStopped && this.running.size === 0 && this.waiting.length === 0) this.spare ??= this.start();
      this.next();
    };
    const timer = setTimeout(() => settle(() => job.resolve(tooMuch)), this.limits.time);
    timer.unref();
    worker.once('message', (reply: Reply) =>
      settle(() => ('read' in reply ? job.resolve(reply.read) : job.reject(new Error(reply.error)))),
    );
    worker.once('error', (error: Error & { code?: string }) =>
      settle(() => (error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? job.resolve(tooMuch) : job.reject(error))),
    );
    worker.once('exit', () => settle(() => job.reject(new Error('The reading thread ended.'))));
    worker.postMessage(job.job);
  }

  private start(): Worker {
    const resourceLimits = { maxOldGenerationSizeMb: this.limits.memory, maxYoungGenerationSizeMb: 64 };
    // Built, the worker lies beside the server's bundle; in development both are TypeScript.
    const isSource = import.meta.url.endsWith('.ts');
    const worker = isSource
      ? new Worker(
          `import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(new URL('./worker.ts', import.meta.url).href)}); })`,
          { eval: true, resourceLimits },
        )
      : new Worker(new URL('./read-worker.js', import.meta.url), { resourceLimits });
    worker.once('error', () => this.forget(worker));
    worker.once('exit', () => this.forget(worker));
    worker.unref();
    return worker;
  }

  private forget(worker: Worker): void {
    if (this.spare === worker) this.spare = null;
  }
}

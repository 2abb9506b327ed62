import type { BottlesByLabel, Mapping, readReport, Remembered } from '@fonte/core/read';
import Tinypool from 'tinypool';
import type * as jobs from './worker.ts';

/** What the threads do. */
type Jobs = Pick<typeof jobs, 'report' | 'look' | 'levels' | 'file' | 'cold'>;
type ReadJob = jobs.ReadJob;

type Read = ReturnType<typeof readReport>;

/** What reading one file may cost. */
export interface ReadLimits {
  /** ms. */
  time: number;
  /** Megabytes of a thread's memory. */
  memory: number;
  /** Files that are read side by side. */
  threads: number;
}

export const usualLimits: ReadLimits = { time: 20_000, memory: 384, threads: 2 };

/** The file took more time or memory to read than any report does. */
const tooMuch: Read = {
  refusal: { code: 'too-much', line: 1, column: 1 },
};

// Built, the worker lies beside the server's bundle; in development both are TypeScript.
const worker = new URL(import.meta.url.endsWith('.ts') ? './worker.source.mjs' : './read-worker.js', import.meta.url).href;

/**
 * Reads files of labs and loggers, each in a thread of its own that ends with it: a long one holds nobody up, a monstrous one is cut off, and
 * its memory is given back.
 */
export class FileReader {
  private pool: Tinypool | null = null;
  private pending = 0;

  constructor(private readonly limits: ReadLimits = usualLimits) {}

  /** Reads a report. */
  async read(bytes: Uint8Array, bottles: BottlesByLabel, mapping?: Mapping, remembered: readonly Remembered[] = []): Promise<Read> {
    const job: ReadJob = { bytes, bottles, remembered, ...(mapping ? { mapping } : {}) };
    return (await this.run('report', job)) ?? tooMuch;
  }

  /** Does a job of the threads; null where it took more time or memory than any file does. */
  async run<N extends keyof Jobs>(name: N, job: Parameters<Jobs[N]>[0]): Promise<Awaited<ReturnType<Jobs[N]>> | null> {
    const pool = (this.pool ??= this.start());
    // Whoever waits in line is not cut off for those ahead, each of whom takes at most the time of one.
    const turns = 1 + Math.floor(this.pending / this.limits.threads);
    const tooLong = AbortSignal.timeout(turns * this.limits.time);
    this.pending += 1;
    try {
      return (await pool.run(job, { name, signal: tooLong })) as Awaited<ReturnType<Jobs[N]>>;
    } catch (failure) {
      if (tooLong.aborted || (failure as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') return null;
      throw pool === this.pool ? failure : new Error('The reading thread ended.');
    } finally {
      this.pending -= 1;
    }
  }

  /** Ends all threads; what was being read fails. */
  async stop(): Promise<void> {
    const pool = this.pool;
    this.pool = null;
    await pool?.destroy();
  }

  private start(): Tinypool {
    return new Tinypool({
      filename: worker,
      minThreads: 0,
      maxThreads: this.limits.threads,
      isolateWorkers: true,
      resourceLimits: { maxOldGenerationSizeMb: this.limits.memory, maxYoungGenerationSizeMb: 64 },
    });
  }
}

import { Worker } from 'node:worker_threads';
import type { BottlesByLabel, Mapping, readReport } from '@fonte/core/read';
import type { ReadJob } from './worker.ts';

type Read = ReturnType<typeof readReport>;
type Reply = { id: number; read: Read } | { id: number; error: string };

/** Reads reports in a thread of its own, so that a long one holds nobody up. The thread starts with the first report. */
export class ReportReader {
  private worker: Worker | null = null;
  private readonly waiting = new Map<number, { resolve: (read: Read) => void; reject: (error: Error) => void }>();
  private jobs = 0;

  read(bytes: Uint8Array, bottles: BottlesByLabel, mapping?: Mapping): Promise<Read> {
    this.worker ??= this.start();
    const id = (this.jobs += 1);
    const job: ReadJob = { id, bytes, bottles, ...(mapping ? { mapping } : {}) };
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { resolve, reject });
      this.worker!.postMessage(job);
    });
  }

  async stop(): Promise<void> {
    await this.worker?.terminate();
    this.worker = null;
  }

  private start(): Worker {
    // Built, the worker lies beside the server's bundle; in development both are TypeScript.
    const isSource = import.meta.url.endsWith('.ts');
    const worker = isSource
      ? new Worker(
          `import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(new URL('./worker.ts', import.meta.url).href)}); })`,
          { eval: true },
        )
      : new Worker(new URL('./read-worker.js', import.meta.url));
    worker.on('message', (reply: Reply) => {
      const job = this.waiting.get(reply.id);
      this.waiting.delete(reply.id);
      if ('read' in reply) job?.resolve(reply.read);
      else job?.reject(new Error(reply.error));
    });
    const fail = (error: Error) => {
      for (const job of this.waiting.values()) job.reject(error);
      this.waiting.clear();
      this.worker = null;
    };
    worker.on('error', fail);
    worker.on('exit', () => fail(new Error('The reading thread ended.')));
    worker.unref();
    return worker;
  }
}

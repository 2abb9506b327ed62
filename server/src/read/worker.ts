import { parentPort } from 'node:worker_threads';
import { readReport, type BottlesByLabel, type Mapping } from '@fonte/core/read';

export interface ReadJob {
  bytes: Uint8Array;
  bottles: BottlesByLabel;
  mapping?: Mapping;
}

parentPort?.once('message', ({ bytes, bottles, mapping }: ReadJob) => {
  try {
    parentPort?.postMessage({ read: readReport(bytes, bottles, mapping) });
  } catch (error) {
    parentPort?.postMessage({ error: (error as Error).name });
  }
});

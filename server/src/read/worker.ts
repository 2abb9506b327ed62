import { parentPort } from 'node:worker_threads';
import { readReport, type BottlesByLabel, type Mapping } from '@fonte/core/read';

export interface ReadJob {
  id: number;
  bytes: Uint8Array;
  bottles: BottlesByLabel;
  mapping?: Mapping;
}

parentPort?.on('message', ({ id, bytes, bottles, mapping }: ReadJob) => {
  try {
    parentPort?.postMessage({ id, read: readReport(bytes, bottles, mapping) });
  } catch (error) {
    parentPort?.postMessage({ id, error: String(error) });
  }
});

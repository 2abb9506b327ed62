import { parentPort } from 'node:worker_threads';
import { readReport, type BottlesByLabel, type Mapping, type Remembered } from '@fonte/core/read';
import { tableIn } from './formats/index.ts';

export interface ReadJob {
  bytes: Uint8Array;
  bottles: BottlesByLabel;
  mapping?: Mapping;
  remembered: readonly Remembered[];
}

parentPort?.once('message', ({ bytes, bottles, mapping, remembered }: ReadJob) => {
  tableIn(bytes).then(
    (table) => parentPort?.postMessage({ read: readReport(table, bottles, mapping, remembered) }),
    (error: Error) => parentPort?.postMessage({ error: error.name }),
  );
});
